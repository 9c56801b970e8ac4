import { useLayoutEffect } from 'react';
import { useLocation } from 'react-router';

const KEY = 'euporia.left';
/** How far down the page was that the tab showed when it was loaded again. */
interface Left {
  pathname: string;
  y: number;
}

/** How far down each page was left, by its path. */
const left = new Map<string, number>();

/** A page that does not come to its length in this time is found at its top, in milliseconds. */
const PATIENCE_MS = 10_000;

/** What says that somebody goes their own way on the page. */
const OWN_WAYS = ['wheel', 'touchstart', 'pointerdown', 'keydown'] as const;

/** A page begins at its top, and is found again where it was left, also after a reload; what only its search says moves nothing. */
export function useFoundAgain(): void {
  const { pathname } = useLocation();
  useLayoutEffect(() => {
    // Otherwise the browser scrolls on its own, before the page is there.
    history.scrollRestoration = 'manual';
    const kept = JSON.parse(sessionStorage.getItem(KEY) ?? 'null') as Left | null;
    if (kept) left.set(kept.pathname, kept.y);
    const leave = () => {
      const { pathname: here } = location;
      try {
        sessionStorage.setItem(KEY, JSON.stringify({ pathname: here, y: left.get(here) ?? 0 } satisfies Left));
      } catch {
        // A browser that keeps nothing begins at the top.
      }
    };
    addEventListener('pagehide', leave);
    return () => removeEventListener('pagehide', leave);
  }, []);
  useLayoutEffect(() => {
    const stop = scrollBack(left.get(pathname) ?? 0);
    const keep = () => left.set(pathname, scrollY);
    addEventListener('scroll', keep, { passive: true });
    return () => {
      stop();
      removeEventListener('scroll', keep);
    };
  }, [pathname]);
}

/**
 * Scrolls to where a page was left, as soon as the page is long enough.
 * @returns gives it up
 */
function scrollBack(y: number): () => void {
  scrollTo(0, 0);
  const page = document.documentElement;
  const observer = new ResizeObserver(() => {
    if (page.scrollHeight - innerHeight < y) return;
    stop();
    scrollTo(0, y);
  });
  const stop = () => {
    observer.disconnect();
    clearTimeout(timer);
    for (const way of OWN_WAYS) removeEventListener(way, stop);
  };
  const timer = setTimeout(stop, PATIENCE_MS);
  for (const way of OWN_WAYS) addEventListener(way, stop, { passive: true });
  // It is told of the length that the page has now, too.
  observer.observe(page);
  return stop;
}
