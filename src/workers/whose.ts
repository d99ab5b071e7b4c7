import type { SerwistPlugin } from 'serwist';
import { PAGES_CACHE, READS_CACHE, WHOSE_CACHE } from './offlineCaches';

/** By this header an answer says whose it is: a household as one member sees it. */
export const WHOSE = 'x-orderly-frost-whose';

const PLACE = '/whose';

/** Whose pages this device keeps; `null`: nobody's. */
export async function readWhose(): Promise<string | null> {
  const written = await caches.match(PLACE, { cacheName: WHOSE_CACHE });
  return written ? written.text() : null;
}

/** Keeps pages for somebody from now on; what was kept for another is dropped. */
export async function keepFor(whose: string): Promise<void> {
  if ((await readWhose()) === whose) return;
  await Promise.all([PAGES_CACHE, READS_CACHE].map((name) => caches.delete(name)));
  await (await caches.open(WHOSE_CACHE)).put(PLACE, new Response(whose));
}

/**
 * What is kept for a house without network is shown only to whom it was last shown: the pages of one household never stand in for
 * those of another, nor one member's for another's.
 *
 * @param read whose the last page was @param write says whose it is now, and drops what was kept before
 */
export function onlyTheirs(
  read: () => Promise<string | null>,
  write: (whose: string) => Promise<void>,
): SerwistPlugin {
  return {
    cacheWillUpdate: async ({ request, response }) => {
      const whose = response.headers.get(WHOSE);
      if (!whose || !response.ok) return null;
      if (whose === (await read())) return response;
      // A page that was opened says who is here; what an open page still reads does not.
      if (request.mode !== 'navigate') return null;
      await write(whose);
      return response;
    },
    cachedResponseWillBeUsed: async ({ cachedResponse }) =>
      cachedResponse && cachedResponse.headers.get(WHOSE) === (await read()) ? cachedResponse : null,
  };
}
