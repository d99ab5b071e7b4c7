import type { SerwistPlugin } from 'serwist';

/** By this header an answer says whose it is: a household as one member sees it. */
export const WHOSE = 'x-orderly-frost-whose';

/** What a page says to its worker when its household or member changes: nothing read before is shown any more. */
export const FORGET = 'forget';

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
