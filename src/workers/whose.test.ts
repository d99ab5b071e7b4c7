import { onlyTheirs, WHOSE } from './whose';

/** A worker that keeps pages by address, as the browser's does. */
function worker() {
  const pages = new Map<string, Response>();
  let last: string | null = null;
  const plugin = onlyTheirs(
    () => Promise.resolve(last),
    (whose) => {
      pages.clear();
      last = whose;
      return Promise.resolve();
    },
  );
  const given = (page: string, mode: string, response?: Response) =>
    ({ request: { mode, url: page }, response, cachedResponse: response }) as never;
  return {
    seen: async (page: string, whose: string | null, mode = 'navigate') => {
      const response = new Response(page, { headers: whose === null ? {} : { [WHOSE]: whose } });
      const kept = await plugin.cacheWillUpdate?.(given(page, mode, response));
      if (kept) pages.set(page, kept);
    },
    offline: async (page: string) =>
      Boolean(await plugin.cachedResponseWillBeUsed?.(given(page, 'navigate', pages.get(page)))),
    /** An answer of before that came late, put there by itself. */
    late: (page: string, whose: string) =>
      pages.set(page, new Response(page, { headers: { [WHOSE]: whose } })),
  };
}

it('shows without network only what was last shown to who is here now', async () => {
  const phone = worker();
  await phone.seen('/stock', 'skerry isla');
  expect(await phone.offline('/stock')).toBe(true);
  await phone.seen('/', 'saltmarsh isla');
  expect([await phone.offline('/'), await phone.offline('/stock')]).toEqual([true, false]);
  // A read of a page that is still open, and one that came late, are not shown either.
  await phone.seen('/api/v1/shopping', 'skerry isla', 'cors');
  phone.late('/stock', 'skerry isla');
  expect([await phone.offline('/api/v1/shopping'), await phone.offline('/stock')]).toEqual([false, false]);
  // The door itself is nobody's, and is not kept.
  await phone.seen('/sign-in', null);
  expect([await phone.offline('/sign-in'), await phone.offline('/')]).toEqual([false, true]);
});
