import { AsyncLocalStorage } from 'node:async_hooks';
import { cookies, headers } from 'next/headers';

/** The cookie in which a device keeps the household it chose, and the one with the name of who uses it. */
export const HOUSEHOLD_COOKIE = 'orderly-frost-household';
export const PERSON_COOKIE = 'orderly-frost-person';

/** By this a page says which household it shows, so that nothing of it goes into another one chosen meanwhile. */
const HOUSEHOLD_HEADER = 'x-orderly-frost-household';

const working = new AsyncLocalStorage<number>();

/** Does something in a household, whatever the device chose: seeding, a calendar's key. */
export const inHousehold = <Result>(id: number, work: () => Promise<Result>): Promise<Result> =>
  working.run(id, work);

const idOf = (text: string | undefined | null): number | null =>
  text && /^[1-9]\d{0,9}$/.test(text) ? Number(text) : null;

/** Which household a request names; `firmly`: it may be no other. */
export async function toldHousehold(): Promise<{ id: number | null; firmly: boolean }> {
  const inside = working.getStore();
  if (inside !== undefined) return { id: inside, firmly: true };
  try {
    const shown = idOf((await headers()).get(HOUSEHOLD_HEADER));
    if (shown !== null) return { id: shown, firmly: true };
    return { id: idOf((await cookies()).get(HOUSEHOLD_COOKIE)?.value), firmly: false };
  } catch (error) {
    // Outside of a request nothing is chosen; anything else is for Next.js.
    if (error instanceof Error && error.message.includes('outside a request scope'))
      return { id: chosenIn(asking.getStore() ?? ''), firmly: false };
    throw error;
  }
}

const asking = new AsyncLocalStorage<string>();

/** Does something as for a request with these cookies, before Next.js has it. */
export const withCookies = <Result>(header: string, work: () => Promise<Result>): Promise<Result> =>
  asking.run(header, work);

/** The household chosen in a cookie header; `null`: none. */
function chosenIn(header: string): number | null {
  const found = header.split(/;\s*/).find((pair) => pair.startsWith(`${HOUSEHOLD_COOKIE}=`));
  return idOf(found?.slice(HOUSEHOLD_COOKIE.length + 1));
}

/** The name of who uses this device, as chosen on it; `null`: nobody chose. */
export async function chosenPerson(): Promise<string | null> {
  try {
    const name = (await cookies()).get(PERSON_COOKIE)?.value;
    return name ? decodeURIComponent(name).slice(0, 60) : null;
  } catch {
    return null;
  }
}
