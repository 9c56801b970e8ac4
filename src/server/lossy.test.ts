import type { ProjectRows } from '@core/model/rows';
import { newSlot } from '@core/plan/newRows';
import { describe, expect, it, vi } from 'vitest';
import { attic, freshStudio } from './test/studio';

/**
 * The engine of a device against the real server and its database, over a line that loses answers: what is typed offline is
 * done exactly once, in its order, and two devices on one project lose nothing of each other.
 */
const { own, studio } = await freshStudio();
/** Of ten answers two are lost, after the server did what was asked. */
const LOST = 0.2;

/** Numbers from 0 to below 1, the same at each run (a linear congruential generator, Numerical Recipes' constants). */
function dice(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return state / 4_294_967_296;
  };
}

/** A browser of its own: its store, its studio, its engine; `line` says whether an answer comes through. */
async function device(line: () => boolean) {
  vi.resetModules();
  const stored = new Map<string, unknown>();
  vi.doMock('idb-keyval', () => ({
    get: async (key: string) => structuredClone(stored.get(key)),
    set: async (key: string, value: unknown) => void stored.set(key, structuredClone(value)),
    del: async (key: string) => void stored.delete(key),
    keys: async () => [...stored.keys()],
    update: async (key: string, how: (before: unknown) => unknown) => void stored.set(key, how(stored.get(key))),
  }));
  const kept = new Map<string, string>();
  const storage = {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
  };
  vi.stubGlobal('sessionStorage', storage);
  vi.stubGlobal('localStorage', storage);
  // No channel to other tabs, no locks: this browser has one tab.
  vi.stubGlobal('BroadcastChannel', undefined);
  vi.stubGlobal('navigator', {});
  const { SyncEngine } = await import('../web/sync/syncEngine');
  const { typeAct } = await import('../web/sync/typed');
  const { withWaiting } = await import('../web/sync/foreseen');
  const { withAnswer } = await import('../web/sync/rowsAfter');
  vi.stubGlobal('fetch', async (path: string, init: RequestInit) => {
    const answer = await studio.send(
      init.method ?? 'GET',
      path,
      init.body === undefined ? undefined : JSON.parse(String(init.body)),
      init.headers as Record<string, string>,
    );
    if (!line()) throw new TypeError('the line was cut');
    return new Response(JSON.stringify(answer.json), { status: answer.status });
  });
  return { engine: new SyncEngine(), typeAct, withAnswer, withWaiting, stored };
}

const actsOf = async (projectId: string): Promise<number> => {
  const [row] = (await own.database.source.query('select count(*)::int as n from act where project_id = $1', [
    projectId,
  ])) as { n: number }[];
  return row?.n ?? 0;
};

/** Lets the engine go on until nothing waits; presses when it paused after a lost answer. */
async function sendAll(
  engine: { retry(): void; isOffline: boolean; waitingLanes(): unknown[] },
  most = 60_000,
): Promise<void> {
  const end = Date.now() + most;
  while (engine.waitingLanes().length > 0 && Date.now() < end) {
    if (engine.isOffline) engine.retry();
    await new Promise((done) => setTimeout(done, 2));
  }
}

/** A thousand do as well; so many are enough to lose an answer at every kind of step. */
const COMMANDS = 300;

describe('hundreds of commands typed offline', () => {
  it('are done exactly once each, in their order, over a line that loses one answer in five', {
    timeout: 180_000,
  }, async () => {
    const { projectId, spotId } = await attic(studio);
    const before = (await studio.rows(projectId)) as ProjectRows;
    const throwDice = dice(11);
    let isOnline = false;
    let lost = 0;
    const { engine, typeAct, withAnswer, withWaiting } = await device(() => {
      if (isOnline && throwDice() >= LOST) return true;
      lost += 1;
      return false;
    });
    let server: ProjectRows = before;
    let seen: ProjectRows = before;
    const stuck: string[] = [];
    engine.attach(projectId, {
      changed: () => undefined,
      done: (_entry, answer) => {
        server = withAnswer(server, answer);
      },
      stuck: (entry) => stuck.push(`${entry.state} ${entry.command.kind}`),
    });
    await engine.start();
    const acts = await actsOf(projectId);
    const ids: string[] = [];
    for (let n = 0; n < COMMANDS; n += 1) {
      if (n % 50 === 0) {
        const id = crypto.randomUUID();
        ids.push(id);
        const row = newSlot(id, spotId, 100 + ids.length, `Thing ${ids.length}`);
        seen = withWaiting(seen, [typeAct(engine, projectId, 'addSlot', { row }, seen)]);
      } else {
        const id = ids[Math.floor(throwDice() * ids.length)] ?? '';
        const entry = typeAct(engine, projectId, 'editSlot', { id, values: { name: `Edit ${n}` } }, seen);
        seen = withWaiting(seen, [entry]);
      }
    }
    expect(engine.entriesOf(projectId)).toHaveLength(COMMANDS);
    isOnline = true;
    const began = performance.now();
    await sendAll(engine, 120_000);
    console.info(
      `${COMMANDS} commands over the lossy line: ${Math.round(performance.now() - began)} ms, ${lost} answers lost`,
    );
    engine.stop();
    expect(stuck).toEqual([]);
    expect(engine.waitingLanes()).toEqual([]);
    expect(lost).toBeGreaterThan(COMMANDS / 10);
    // Each act once: a command that went out twice was done once.
    expect((await actsOf(projectId)) - acts).toBe(COMMANDS);
    const after = (await studio.rows(projectId)) as ProjectRows;
    const names = (rows: ProjectRows) => rows.slots.map(({ id, name, version }) => [id, name, version]).sort();
    expect(names(after)).toEqual(names(server));
    expect(
      after.slots
        .filter(({ id }) => ids.includes(id))
        .map(({ name }) => name)
        .sort(),
    ).toEqual(
      seen.slots
        .filter(({ id }) => ids.includes(id))
        .map(({ name }) => name)
        .sort(),
    );
  });
});

describe('two devices on one project', () => {
  it('five hundred commands, one from each in turn: nothing of either is lost, what both changed is asked about', {
    timeout: 180_000,
  }, async () => {
    const { projectId, spotId } = await attic(studio);
    const shared = crypto.randomUUID();
    await studio.command(projectId, 'addSlot', { row: newSlot(shared, spotId, 900, 'Shared') });
    const open = async (seed: number) => {
      const throwDice = dice(seed);
      const made = await device(() => throwDice() >= LOST);
      const state = { server: (await studio.rows(projectId)) as ProjectRows, conflicts: 0, ids: [] as string[] };
      // Each engine asks through the line of its own browser.
      const ask = globalThis.fetch;
      made.engine.attach(projectId, {
        changed: () => undefined,
        done: (_entry, answer) => {
          state.server = made.withAnswer(state.server, answer);
        },
        stuck: () => {
          state.conflicts += 1;
        },
      });
      await made.engine.start();
      return { ...made, state, ask };
    };
    const both = [await open(3), await open(5)];
    vi.stubGlobal('fetch', both[0]?.ask);
    const acts = await actsOf(projectId);
    for (let n = 0; n < 250; n += 1)
      for (const [who, one] of both.entries()) {
        const { engine, typeAct, withWaiting, state } = one;
        const seen = withWaiting(state.server, engine.entriesOf(projectId));
        if (n % 25 === 0) {
          const id = crypto.randomUUID();
          state.ids.push(id);
          typeAct(engine, projectId, 'addSlot', { row: newSlot(id, spotId, 100 + n * 2 + who, `Of ${who}`) }, seen);
        } else {
          const id = state.ids[n % state.ids.length] ?? '';
          typeAct(engine, projectId, 'editSlot', { id, values: { name: `Of ${who}, ${n}` } }, seen);
        }
        if (n % 10 === 0) await sendAll(engine);
      }
    for (const { engine } of both) await sendAll(engine);
    expect(both.map(({ state }) => state.conflicts)).toEqual([0, 0]);
    expect((await actsOf(projectId)) - acts).toBe(500);
    const after = (await studio.rows(projectId)) as ProjectRows;
    for (const { state } of both)
      expect(after.slots.filter(({ id }) => state.ids.includes(id))).toHaveLength(state.ids.length);

    // The same row, seen alike by both: the second is asked.
    for (const { state } of both) state.server = (await studio.rows(projectId)) as ProjectRows;
    for (const [who, { engine, typeAct, state }] of both.entries()) {
      void typeAct(engine, projectId, 'editSlot', { id: shared, values: { name: `Meant by ${who}` } }, state.server);
    }
    for (const end = Date.now() + 20_000; Date.now() < end && both.every(({ state }) => state.conflicts === 0); ) {
      for (const { engine } of both) if (engine.isOffline) engine.retry();
      await new Promise((done) => setTimeout(done, 5));
    }
    expect(both.map(({ state }) => state.conflicts).sort()).toEqual([0, 1]);
    for (const { engine } of both) engine.stop();
  });
});
