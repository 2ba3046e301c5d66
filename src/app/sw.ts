/// <reference lib="webworker" />
import {
  CacheFirst,
  ExpirationPlugin,
  NetworkFirst,
  type PrecacheEntry,
  Serwist,
  type SerwistGlobalConfig,
  type SerwistPlugin,
} from 'serwist';
import { keepPart, PARTS, partsNamed } from '../ui/field/parts-named';

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[] | undefined;
  }
}
declare const self: ServiceWorkerGlobalScope;

const DAY = 86_400;
/** After this long a page that was kept is better than one that is still waited for. */
const PATIENCE = 4;

/** A page is kept with all that it names, or not at all: one that lacks a part would not stand without the network. */
const whole: SerwistPlugin = {
  cacheWillUpdate: async ({ response }) => {
    if (!response.ok || response.redirected) return null;
    try {
      const parts = await caches.open(PARTS);
      const named = partsNamed(await response.clone().text());
      await Promise.all(named.map((part) => keepPart(parts, part)));
      return response;
    } catch {
      return null;
    }
  },
};

/**
 * The field works where the network does not: pages of samples are kept as they were last seen, so that a reload in
 * the wind brings back the clocks; what was stamped meanwhile is in the device's own store and is sent later. Nothing
 * else is kept: the desk is not used without a server.
 */
const worker = new Serwist({
  precacheEntries: self.__SW_MANIFEST ?? [],
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/_next/static/'),
      handler: new CacheFirst({
        cacheName: PARTS,
        plugins: [new ExpirationPlugin({ maxEntries: 400, maxAgeSeconds: 30 * DAY })],
      }),
    },
    {
      // The picture that a floor is drawn over never changes under its name.
      matcher: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/api/plan-pictures/'),
      handler: new CacheFirst({
        cacheName: 'bricole-plans',
        plugins: [new ExpirationPlugin({ maxEntries: 30, maxAgeSeconds: 30 * DAY })],
      }),
    },
    {
      matcher: ({ url, sameOrigin, request }) =>
        sameOrigin &&
        // A page that is open asks for itself once more, so that it is kept as it is now.
        (request.mode === 'navigate' || request.headers.get('accept') === 'text/html') &&
        /^\/field(\/|$)/.test(url.pathname),
      handler: new NetworkFirst({
        cacheName: 'bricole-field',
        networkTimeoutSeconds: PATIENCE,
        plugins: [whole, new ExpirationPlugin({ maxEntries: 60, maxAgeSeconds: 4 * DAY })],
      }),
    },
  ],
});

worker.addEventListeners();
