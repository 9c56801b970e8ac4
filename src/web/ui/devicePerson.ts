const KEY = 'euporia.person';

/** Who is signed in on this device, by their id, as the server said last; empty where nobody is asked who they are. */
export const personHere = (): string => globalThis.localStorage?.getItem(KEY) ?? '';

/** The server said who asks. */
export function putPersonHere(id: string): void {
  if (personHere() !== id) globalThis.localStorage?.setItem(KEY, id);
}
