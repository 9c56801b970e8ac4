/** The workers that are at work. */
const working = new Set<Worker>();

/**
 * A worker that ends with its page. One that still searches when its page goes can take the browser's tab down with it;
 * ended by the page itself, it does not.
 * @returns the same worker
 */
export function endWithPage(worker: Worker): Worker {
  if (working.size === 0) {
    addEventListener('pagehide', endAll);
    addEventListener('pageshow', beginAnew);
  }
  working.add(worker);
  return worker;
}

/** Ends a worker before its page goes. */
export function endWorker(worker: Worker): void {
  working.delete(worker);
  worker.terminate();
}

function endAll(): void {
  for (const worker of working) worker.terminate();
}

/** A page that a browser kept and shows again has lost its workers: it is loaded anew. What was typed is kept by then. */
function beginAnew({ persisted }: PageTransitionEvent): void {
  if (persisted) location.reload();
}
