import { useEffect, useState } from 'react';
import { inStretches } from './inStretches';

/**
 * Makes something of each of a list, a few at a time, so that the page stays quick; what is made so far shows.
 * @param make must be the same function while the list's answers hold; null leaves an item out
 */
export function useGradually<Item, Made>(
  items: readonly Item[],
  make: (item: Item) => Made | null,
): { made: readonly Made[]; isDone: boolean } {
  const [state, setState] = useState<{ of: unknown; by: unknown; made: readonly Made[]; isDone: boolean }>({
    of: null,
    by: null,
    made: [],
    isDone: false,
  });
  useEffect(() => {
    const made: Made[] = [];
    function* work() {
      for (const item of items) {
        const one = make(item);
        if (one !== null) made.push(one);
        yield;
      }
    }
    return inStretches(work(), (isDone) => setState({ of: items, by: make, made: [...made], isDone }));
  }, [items, make]);
  // While the first of new answers are on their way the old ones stand: nothing jumps.
  return { made: state.made, isDone: state.isDone && state.of === items && state.by === make };
}
