/**
 * The program without a network. What is precached belongs to one build: pages and code of two are never mixed, and a newer
 * one waits until it is asked for and nothing else is open. What ships beside it (papers, fonts, kits) is kept as it is used.
 * Built by scripts/offline, as bundlers of pages know no service workers.
 */
import {
  CacheableResponsePlugin,
  CacheFirst,
  NavigationRoute,
  NetworkFirst,
  Serwist,
  type PrecacheEntry,
} from 'serwist';
import { BUILD_PAGES, HOUSE_CACHE, ICON, TAKE_OVER } from '@/workers/offline';

/** As much of the service worker's world as is used (Service Workers, W3C). */
interface World {
  addEventListener(
    type: 'message',
    hear: (event: MessageEvent & { waitUntil(promise: Promise<unknown>): void }) => void,
  ): void;
  clients: { matchAll(how: { type: 'window'; includeUncontrolled: boolean }): Promise<readonly unknown[]> };
  skipWaiting(): Promise<void>;
}
declare const self: World;
/** What this build consists of, written in by scripts/offline. */
declare const PROGRAM_FILES: PrecacheEntry[];

const serwist = new Serwist({
  precacheEntries: PROGRAM_FILES,
  precacheOptions: {
    cleanupOutdatedCaches: true,
    concurrency: 8,
    ignoreURLParametersMatching: [],
    // A worker is told what to fetch after the # of its address, which an answer with an address of its own would take away.
    plugins: [
      {
        cachedResponseWillBeUsed: async ({ cachedResponse, event }) =>
          cachedResponse && (event as unknown as { request?: Request }).request?.destination === 'worker'
            ? new Response(cachedResponse.body, cachedResponse)
            : cachedResponse,
      },
    ],
  },
  // On a first visit there is nobody to wait for: what is open works without a network from then on.
  clientsClaim: true,
});

for (const path of BUILD_PAGES)
  serwist.registerRoute(
    new NavigationRoute(serwist.createHandlerBoundToUrl(path), {
      allowlist: [new RegExp(`^${path}(\\?.*)?$`)],
    }),
  );

/** Only what is whole is kept: not what is still being drawn. */
const plugins = [new CacheableResponsePlugin({ statuses: [200] })];
/** Seconds a list is waited for before the one that is here will do. */
const PATIENCE = 4;
const isList = (pathname: string): boolean => /^\/house\/(kits|papers)\.json$/.test(pathname);
serwist.registerCapture(
  ({ url, sameOrigin }) => sameOrigin && isList(url.pathname),
  new NetworkFirst({ cacheName: HOUSE_CACHE, networkTimeoutSeconds: PATIENCE, plugins }),
);
serwist.registerCapture(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/house/') && url.pathname !== '/house/list',
  new CacheFirst({ cacheName: HOUSE_CACHE, plugins }),
);
// Asked for with what it was made from in its address.
serwist.registerCapture(
  ({ url, sameOrigin }) => sameOrigin && url.pathname === ICON,
  serwist.createHandlerBoundToUrl(ICON),
);
serwist.addEventListeners();

/** Asked to take over from an older build it answers whether it does: not while more than the asking window is open. */
self.addEventListener('message', (event) => {
  if (event.data !== TAKE_OVER) return;
  event.waitUntil(
    self.clients.matchAll({ type: 'window', includeUncontrolled: true }).then(async (open) => {
      const alone = open.length <= 1;
      event.ports[0]?.postMessage(alone);
      if (alone) await self.skipWaiting();
    }),
  );
});
