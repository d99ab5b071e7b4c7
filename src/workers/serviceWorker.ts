/// <reference lib="webworker" />
import { NetworkFirst, type PrecacheEntry, Serwist, type SerwistGlobalConfig } from 'serwist';
import { nothingOlder, TOLD } from './nothingOlder';
import { PAGES_CACHE, READS_CACHE } from './offlineCaches';
import { keepFor, onlyTheirs, readWhose } from './whose';

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    /** What the build put out; every name of it changes with what is in it. */
    __SW_MANIFEST: (PrecacheEntry | string)[];
  }
}
declare const self: ServiceWorkerGlobalScope;

/** So long the kitchen's server is waited for before what was last seen is shown, seconds. */
const PATIENCE_S = 4;

const theirs = onlyTheirs(readWhose, keepFor);
const { told, plugin } = nothingOlder(Date.now, async (request) => {
  const kept = await caches.match(request, { cacheName: READS_CACHE });
  const shown = await theirs.cachedResponseWillBeUsed?.({ cachedResponse: kept } as never);
  return shown ?? undefined;
});
self.addEventListener('message', ({ data }) => {
  if (data === TOLD) told();
});

/** Pages and what they read as last seen, for a house without power or network; changes never go through here. */
const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  precacheOptions: {
    plugins: [
      {
        // An answer of its own has no address, so a worker made of it keeps the one it was asked by, with what stands behind its “#”.
        handlerWillRespond: ({ response: { body, status, headers } }) =>
          Promise.resolve(new Response(body, { status, headers })),
      },
    ],
  },
  skipWaiting: true,
  clientsClaim: true,
  runtimeCaching: [
    {
      matcher: ({ request, sameOrigin }) => sameOrigin && request.mode === 'navigate',
      handler: new NetworkFirst({
        cacheName: PAGES_CACHE,
        networkTimeoutSeconds: PATIENCE_S,
        plugins: [theirs],
      }),
    },
    {
      matcher: ({ request, url, sameOrigin }) =>
        sameOrigin &&
        request.method === 'GET' &&
        /^\/api\/v1\/(vocabulary|shopping|packages\/|stock\/groups)/.test(url.pathname),
      handler: new NetworkFirst({
        cacheName: READS_CACHE,
        networkTimeoutSeconds: PATIENCE_S,
        plugins: [plugin, theirs],
      }),
    },
  ],
});
serwist.addEventListeners();
