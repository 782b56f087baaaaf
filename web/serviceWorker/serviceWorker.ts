// What makes the app open without a network: every file of it is put by when it is installed; the API is never answered from here.
import { clientsClaim } from 'workbox-core';
import { createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { isEarlier, isOfEarlierPage, type Listed } from './earlier.ts';

declare const self: ServiceWorkerGlobalScope & { readonly __WB_MANIFEST: Listed[] };

/** Files of earlier versions, for pages that are still open with them. */
const EARLIER = 'earlier-files';
// Put in by the build.
// oxlint-disable-next-line no-underscore-dangle
const listed = self.__WB_MANIFEST;

/** Puts by what the version before this one has and this one has not: a page that is open with it goes on. */
async function keepEarlier(): Promise<void> {
  const earlier = await caches.open(EARLIER);
  const names = (await caches.keys()).filter((each) => each.includes('precache'));
  const requests = await Promise.all(names.map(async (name) => (await caches.open(name)).keys()));
  const old = requests.flat().filter(({ url }) => isEarlier(url, listed));
  await Promise.all(
    old.map(async (request) => {
      const file = await caches.match(request);
      if (file) await earlier.put(request.url, file);
    }),
  );
}

/** The last page of an earlier version is closed: whoever opens one now gets this version. */
async function dropEarlier(): Promise<void> {
  const pages = await self.clients.matchAll({ type: 'window', includeUncontrolled: true });
  if (pages.length === 0) await caches.delete(EARLIER);
}

self.addEventListener('install', (event) => event.waitUntil(keepEarlier()));
self.addEventListener('message', (event) => {
  // Only when somebody says so: other pages stay with what they have.
  if ((event.data as { type?: string } | null)?.type === 'SKIP_WAITING') event.waitUntil(self.skipWaiting());
});
self.addEventListener('fetch', (event) => {
  if (event.request.mode === 'navigate') event.waitUntil(dropEarlier());
  if (isOfEarlierPage(event.request.url, self.location.origin, listed))
    event.respondWith(caches.match(event.request.url).then((file) => file ?? fetch(event.request)));
});

// The page that had it installed is answered from what was put by, too.
clientsClaim();
precacheAndRoute(listed);
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));
