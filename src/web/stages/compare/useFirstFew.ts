import { startTransition, useEffect, useState } from 'react';

const AT_FIRST = 8;
const MORE = 8;

/**
 * How many of a long list to draw: the first few at once, the rest while nothing else is to be done, so that what is
 * seen first stands soon and the page stays quick meanwhile.
 */
export function useFirstFew(total: number): number {
  const [shown, setShown] = useState(AT_FIRST);
  const isWhole = shown >= total;
  useEffect(() => {
    if (isWhole) return;
    const more = () => startTransition(() => setShown(shown + MORE));
    if (typeof requestIdleCallback === 'function') {
      const idle = requestIdleCallback(more, { timeout: 500 });
      return () => cancelIdleCallback(idle);
    }
    const timer = setTimeout(more, 16);
    return () => clearTimeout(timer);
  }, [shown, isWhole]);
  return Math.min(shown, total);
}
