import { useEffect, useState } from 'react';

/** How long it works before the page may breathe, ms. */
const STRETCH_MS = 12;

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
    let timer = 0;
    let next = 0;
    const made: Made[] = [];
    const stretch = () => {
      const until = performance.now() + STRETCH_MS;
      while (next < items.length && performance.now() < until) {
        const item = items[next];
        next += 1;
        const one = item === undefined ? null : make(item);
        if (one !== null) made.push(one);
      }
      setState({ of: items, by: make, made: [...made], isDone: next >= items.length });
      if (next < items.length) timer = window.setTimeout(stretch, 0);
    };
    timer = window.setTimeout(stretch, 0);
    return () => window.clearTimeout(timer);
  }, [items, make]);
  // While the first of new answers are on their way the old ones stand: nothing jumps.
  return { made: state.made, isDone: state.isDone && state.of === items && state.by === make };
}
