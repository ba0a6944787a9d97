import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  type PrecacheEntry,
  precacheAndRoute,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { CacheFirst } from 'workbox-strategies';

/**
 * What makes the application work without its server after the first visit: every file of this
 * build is kept, and pages of projects, which the server would make, are the one that stands for
 * all of them. A newer build waits until a person takes it. `scripts/build.mjs` bundles this file
 * and puts the names of the build's files in.
 */
declare const self: ServiceWorkerGlobalScope;
declare const filesOfBuild: PrecacheEntry[];
declare const projectPage: string;

precacheAndRoute(filesOfBuild);
cleanupOutdatedCaches();
registerRoute(
  ({ url }) => url.pathname.startsWith('/faces/more/'),
  new CacheFirst({ cacheName: 'faces' }),
);
registerRoute(new NavigationRoute(createHandlerBoundToURL(projectPage), { allowlist: [/^\/p\//] }));

self.addEventListener('message', ({ data }) => {
  if (data?.type === 'SKIP_WAITING') void self.skipWaiting();
});
self.addEventListener('activate', (event) => event.waitUntil(self.clients.claim()));
