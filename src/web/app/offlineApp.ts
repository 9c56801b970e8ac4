import { syncEngine } from '../sync/syncEngine';

/** Told when a new version of the app is ready, and when it may be loaded. */
export interface NewVersion {
  /** Whether nothing on this device is still to be sent. */
  mayLoad: boolean;
  load(): void;
}

let ready: ServiceWorker | null = null;
const listeners = new Set<() => void>();

/** A page that was loaded so recently is loaded anew without asking: nobody has begun anything on it. */
const FRESH_MS = 4000;

async function nothingWaits(): Promise<boolean> {
  await syncEngine.start();
  return syncEngine.waitingLanes().length === 0;
}

/** The new version takes over, and the page with it. */
function takeOver(): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => location.reload(), { once: true });
  ready?.postMessage('takeOver');
}

async function noteReady(worker: ServiceWorker | null): Promise<void> {
  if (!worker || !navigator.serviceWorker.controller) return;
  ready = worker;
  if (performance.now() < FRESH_MS && (await nothingWaits())) return takeOver();
  for (const listener of listeners) listener();
}

/**
 * Keeps the app itself on the device, so that it opens without a connection, and asks the browser not to clear what is
 * kept. Where the page is not secure, or while it is developed, it goes without.
 */
export async function keepApp(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  try {
    const registration = await navigator.serviceWorker.register('/sw.js');
    void noteReady(registration.waiting);
    registration.addEventListener('updatefound', () => {
      const coming = registration.installing;
      coming?.addEventListener('statechange', () => {
        if (coming.state === 'installed') void noteReady(coming);
      });
    });
    await navigator.storage?.persist?.();
  } catch {
    // A browser that keeps nothing, or a certificate that it does not trust: everything else works.
  }
}

/** Tells whether a new version waits; gives the way to stop. */
export function onNewVersion(tell: (version: NewVersion) => void): () => void {
  const look = () => {
    if (ready) void nothingWaits().then((mayLoad) => tell({ mayLoad, load: takeOver }));
  };
  look();
  listeners.add(look);
  const stop = syncEngine.watch(look);
  return () => {
    listeners.delete(look);
    stop();
  };
}
