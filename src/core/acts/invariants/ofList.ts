import type { AnyRow } from '../changes';

type List = readonly AnyRow[];

/** A result that depends on one list of rows alone; it is computed again only when the list is another object. */
export function ofList<T>(compute: (list: List) => T): (list: List) => T {
  const known = new WeakMap<List, { value: T }>();
  return (list) => {
    const before = known.get(list);
    if (before) return before.value;
    const value = compute(list);
    known.set(list, { value });
    return value;
  };
}

/** The ids of a list of rows. */
export const idsOf = ofList((list): ReadonlySet<string> => new Set(list.map((row) => row.id)));

/** What follows from a list together with some others; the latest others are kept beside it. */
export function ofLists<T>(
  compute: (list: List, others: readonly List[]) => T,
): (list: List, others: readonly List[]) => T {
  const known = new WeakMap<List, { others: readonly List[]; value: T }>();
  return (list, others) => {
    const before = known.get(list);
    if (before && before.others.length === others.length && before.others.every((other, n) => other === others[n]))
      return before.value;
    const value = compute(list, others);
    known.set(list, { others, value });
    return value;
  };
}
