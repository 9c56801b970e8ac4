/** Entries by id, in the order they were listed. */
export interface Registry<T extends { id: string }> {
  readonly all: readonly T[];
  readonly ids: readonly string[];
  /** The entry, or undefined for an id this version does not know (an old or newer file may carry one). */
  find(id: string): T | undefined;
  /** The entry; throws for an unknown id, which is then a bug of the caller. */
  get(id: string): T;
}

/**
 * Makes a registry from entries. Throws when an id repeats, so that a clash shows at start.
 * @throws Error naming the registry and the repeated id
 */
export function createRegistry<T extends { id: string }>(name: string, entries: readonly T[]): Registry<T> {
  const byId = new Map<string, T>();
  for (const entry of entries) {
    if (byId.has(entry.id)) throw new Error(`${name}: the id "${entry.id}" is listed twice`);
    byId.set(entry.id, entry);
  }
  return {
    all: entries,
    ids: entries.map((entry) => entry.id),
    find: (id) => byId.get(id),
    get: (id) => {
      const entry = byId.get(id);
      if (!entry) throw new Error(`${name}: no entry "${id}"`);
      return entry;
    },
  };
}
