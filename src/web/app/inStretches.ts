/** How long it works before the page may breathe, ms. */
const STRETCH_MS = 12;

/**
 * Runs a work that pauses often, a few of its pieces at a time, so that the page stays quick. It begins with the next
 * turn of the page.
 * @param after is told after every stretch whether the work is done
 * @returns stops it
 */
export function inStretches(work: Iterator<unknown>, after: (isDone: boolean) => void): () => void {
  const stretch = () => {
    const until = performance.now() + STRETCH_MS;
    let isDone = false;
    while (!isDone && performance.now() < until) isDone = work.next().done ?? false;
    if (!isDone) timer = window.setTimeout(stretch, 0);
    after(isDone);
  };
  let timer = window.setTimeout(stretch, 0);
  return () => window.clearTimeout(timer);
}
