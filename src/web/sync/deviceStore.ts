import * as idb from 'idb-keyval';

/**
 * What is kept on this device, as long as it keeps anything: a browser may refuse (private windows, a full disk). Then
 * this tab remembers, and says that it does.
 */
const memory = new Map<string, unknown>();
let broken = false;
const listeners = new Set<() => void>();

/** How long the device may take to answer before it counts as not keeping anything. */
const PATIENCE_MS = 4000;

function giveUp(): void {
  if (broken) return;
  broken = true;
  for (const listener of listeners) listener();
}

/** What is kept only so that it can be looked at without a connection: it goes first when there is no room. */
const FOR_LOOKING = /^(?:snapshot|kept)[.:]/;

/** Makes room on the device. What is still to be sent is never among what goes. */
async function makeRoom(): Promise<void> {
  for (const key of await idb.keys()) if (typeof key === 'string' && FOR_LOOKING.test(key)) await idb.del(key);
}

/** Does something on the device; once more after room was made where there was none. */
async function withRoom<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof Error && error.name === 'QuotaExceededError')) throw error;
    await makeRoom();
    return work();
  }
}

async function ask<T>(work: () => Promise<T>, instead: () => T): Promise<T> {
  if (broken) return instead();
  let timer: ReturnType<typeof setTimeout> | undefined;
  try {
    const late = new Promise<never>((_, reject) => {
      timer = setTimeout(() => reject(new Error('the device does not answer')), PATIENCE_MS);
    });
    return await Promise.race([withRoom(work), late]);
  } catch {
    giveUp();
    return instead();
  } finally {
    clearTimeout(timer);
  }
}

export const get = <T>(key: string): Promise<T | undefined> =>
  ask(
    () => idb.get<T>(key),
    () => memory.get(key) as T | undefined,
  );

export const set = (key: string, value: unknown): Promise<void> => {
  memory.set(key, value);
  return ask(
    async () => {
      await idb.set(key, value);
      memory.delete(key);
    },
    () => undefined,
  );
};

/** Changes what is kept under a key as one step, whichever tabs do so at the same time. */
export async function change<T>(key: string, how: (present: T | undefined) => T): Promise<T> {
  const inMemory = (): T => {
    const next = how(memory.get(key) as T | undefined);
    memory.set(key, next);
    return next;
  };
  let result: T | undefined;
  return ask(async () => {
    await idb.update<T>(key, (present) => {
      result = how(present ?? (memory.get(key) as T | undefined));
      return result;
    });
    memory.delete(key);
    return result as T;
  }, inMemory);
}

export const del = (key: string): Promise<void> => {
  memory.delete(key);
  return ask(
    () => idb.del(key),
    () => undefined,
  );
};

export const keys = (): Promise<string[]> =>
  ask(
    async () => (await idb.keys()).filter((key): key is string => typeof key === 'string'),
    () => [...memory.keys()],
  );

/** Whether nothing is kept here beyond this tab. */
export const keepsNothing = (): boolean => broken;

/** Tells when the device stops keeping things. */
export function onStopsKeeping(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/**
 * What the server answers; without a connection what it answered last. Only for what is looked at: what is kept so goes
 * first when the device has no room.
 * @param key what is asked, said once it was answered
 * @param isGone whether an error says that nobody answered
 */
export async function orKept<T>(
  key: () => string,
  answer: () => Promise<T>,
  isGone: (error: unknown) => boolean,
): Promise<T> {
  try {
    const fresh = await answer();
    void set(`kept:${key()}`, fresh);
    return fresh;
  } catch (error) {
    if (!isGone(error)) throw error;
    const kept = await get<T>(`kept:${key()}`);
    if (kept === undefined) throw error;
    return kept;
  }
}

/** Forgets what was kept for looking, of whoever signs out. What is still to be sent stays. */
export async function forgetKept(): Promise<void> {
  for (const key of await keys()) if (FOR_LOOKING.test(key)) await del(key);
}
