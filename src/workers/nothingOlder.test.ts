import { nothingOlder } from './nothingOlder';

type Given = Parameters<
  NonNullable<ReturnType<typeof nothingOlder>['plugin']['cachedResponseWillBeUsed']>
>[0];

const request = { url: 'http://kitchen/api/v1/packages/QK44' } as Request;
const cachedResponse = { status: 200 } as Response;

test('on a slow network nothing is shown that was read before the last thing told; without one, what was seen last', async () => {
  let at = 0;
  const { told, plugin } = nothingOlder(
    () => at,
    () => Promise.resolve(cachedResponse),
  );
  const given = { request, cachedResponse } as Given;
  const shown = () => plugin.cachedResponseWillBeUsed?.(given);
  const read = async (begun: number, ended: number): Promise<void> => {
    const state = {};
    at = begun;
    await plugin.requestWillFetch?.({ ...given, state } as never);
    at = ended;
    await plugin.cacheDidUpdate?.({ ...given, state } as never);
  };
  // Nothing was told since the worker woke: what it finds may be shown.
  expect(await shown()).toBe(cachedResponse);
  await read(10, 12);
  expect(await shown()).toBe(cachedResponse);
  at = 20;
  told();
  expect(await shown()).toBeNull();
  // Begun before it was told, answered after: as of before.
  await read(19, 25);
  expect(await shown()).toBeNull();
  expect(await plugin.handlerDidError?.({ request } as never)).toBe(cachedResponse);
  await read(21, 30);
  expect(await shown()).toBe(cachedResponse);
});
