import { entries } from 'idb-keyval';
import { ExpirationPlugin } from 'workbox-expiration';
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  type PrecacheEntry,
  precacheAndRoute,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';

/**
 * What answers when nobody else does: the app itself, and the thumbnails that were looked at. The work is kept by the page
 * (`src/web/sync`); nothing of it lies here.
 */
declare const self: ServiceWorkerGlobalScope;
/** The files of the page with what tells their versions apart; the build writes them in. */
declare const EUPORIA_FILES: (string | PrecacheEntry)[];

/** So many thumbnails stay on a device. */
const MOST_THUMBNAILS = 400;

/** Whether something was typed on this device that the server does not have yet. */
async function somethingWaits(): Promise<boolean> {
  const found = await entries();
  return found.some(
    ([key, value]) =>
      typeof key === 'string' && /^(?:lane|outbox|photo):/.test(key) && !(Array.isArray(value) && value.length === 0),
  );
}

// A new version waits until nothing is unsent: until then it is not even taken in.
self.addEventListener('install', (event) => {
  event.waitUntil(
    somethingWaits().then((waits) => {
      if (waits && self.registration.active) throw new Error('something on this device is still to be sent');
    }),
  );
});

self.addEventListener('message', (event) => {
  if (event.data === 'takeOver') void self.skipWaiting();
});
// The first one serves the page that brought it.
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));

precacheAndRoute(EUPORIA_FILES);
cleanupOutdatedCaches();
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//, /\.[a-z0-9]+$/i] }));
registerRoute(
  ({ url }) => /^\/api\/photos\/[^/]+\/thumbnail$/.test(url.pathname),
  new CacheFirst({
    cacheName: 'thumbnails',
    plugins: [new ExpirationPlugin({ maxEntries: MOST_THUMBNAILS, purgeOnQuotaError: true })],
  }),
);
