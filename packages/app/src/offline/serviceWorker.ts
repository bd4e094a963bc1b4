/**
 * The service worker: the app opens and works without a network. All that it is made of is kept when it is installed;
 * the words of a language, the sentences in it and faces for symbols, when they are first used. What goes to the server (/api/) is none of its business. A later
 * version waits until a person asks for it. What is shared to the app is taken here, and goes to no server.
 */
import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { StaleWhileRevalidate } from 'workbox-strategies';

import { SHARE_PATH, takeShared } from './shared';

/** The files of the app, each with a hash of its content where its name holds none; written by the build. */
declare const PRECACHE: { url: string; revision: string | null }[];

precacheAndRoute(PRECACHE);
cleanupOutdatedCaches();
// Every place inside the app is its one page.
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && /^\/(language|faces|locales)\//.test(url.pathname),
  new StaleWhileRevalidate({ cacheName: 'language' }),
);
registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname === SHARE_PATH,
  ({ request }) => takeShared(request),
  'POST',
);
// What is open when it is first installed is looked after at once.
clientsClaim();

addEventListener('message', ({ data }: MessageEvent<{ type?: string } | null>) => {
  if (data?.type === 'SKIP_WAITING') void (globalThis as unknown as { skipWaiting(): Promise<void> }).skipWaiting();
});
