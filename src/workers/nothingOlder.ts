import type { SerwistPlugin } from 'serwist';

/** What a page says to its worker when something was told: what was read before is old. */
export const TOLD = 'told';

/**
 * For reads that are kept for a house without network: what was kept before the last thing told is not shown because the network
 * is slow, only because there is none. A cook who took half of it is not shown the whole again.
 *
 * @param now the device's clock, ms
 * @param lastSeen what is kept of a request
 */
export function nothingOlder(
  now: () => number,
  lastSeen: (request: Request) => Promise<Response | undefined>,
): { told: () => void; plugin: SerwistPlugin } {
  let toldAt = -Infinity;
  const readAt = new Map<string, number>();
  return {
    told: () => {
      toldAt = now();
    },
    plugin: {
      requestWillFetch: ({ request, state }) => {
        if (state) state.begun = now();
        return Promise.resolve(request);
      },
      cacheDidUpdate: ({ request, state }) => {
        readAt.set(request.url, Number(state?.begun ?? -Infinity));
        return Promise.resolve();
      },
      cachedResponseWillBeUsed: ({ request, cachedResponse }) => {
        const isOld = toldAt > -Infinity && (readAt.get(request.url) ?? -Infinity) <= toldAt;
        return Promise.resolve(isOld ? null : (cachedResponse ?? null));
      },
      handlerDidError: ({ request }) => lastSeen(request),
    },
  };
}
