import { useEffect, useState } from 'react';
import { inStretches } from './inStretches';

interface Made<Item, Result> {
  items: readonly Item[];
  make: (item: Item) => Result | null;
  /** What came of each item so far; of those whose turn is still to come, what came of them before. */
  results: ReadonlyMap<Item, Result | null>;
  isDone: boolean;
}

/**
 * Makes something of each of a list, a few at a time, so that the page stays quick; what is made so far shows. When it
 * is made anew, the old ones stand until their new ones are there: nothing jumps.
 * @param make must be the same function while the list's answers hold; null leaves an item out
 */
export function useGradually<Item, Result>(
  items: readonly Item[],
  make: (item: Item) => Result | null,
): { made: readonly Result[]; isDone: boolean } {
  const [state, setState] = useState<Made<Item, Result> | null>(null);
  useEffect(() => {
    const made = new Map<Item, Result | null>();
    function* work() {
      for (const item of items) {
        made.set(item, make(item));
        yield;
      }
    }
    return inStretches(work(), (isDone) =>
      setState((before) => ({ items, make, results: new Map([...(before?.results ?? []), ...made]), isDone })),
    );
  }, [items, make]);
  return {
    made: items.flatMap((item) => state?.results.get(item) ?? []),
    isDone: state?.isDone === true && state.items === items && state.make === make,
  };
}
