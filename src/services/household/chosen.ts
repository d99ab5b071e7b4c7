import { AsyncLocalStorage } from 'node:async_hooks';
import { cookies, headers } from 'next/headers';

/** The cookie in which a device keeps the household it chose, and the one with the name of who uses it. */
export const HOUSEHOLD_COOKIE = 'orderly-frost-household';
export const PERSON_COOKIE = 'orderly-frost-person';

/** By this a page says which household it shows, so that nothing of it goes into another one chosen meanwhile. */
const HOUSEHOLD_HEADER = 'x-orderly-frost-household';

/** By this a page says who entered what it sends, so that it is never taken for somebody else's. */
const MEMBER_HEADER = 'x-orderly-frost-member';

const working = new AsyncLocalStorage<number>();

/** Does something in a household, whatever the device chose: seeding, a calendar's key. */
export const inHousehold = <Result>(id: number, work: () => Promise<Result>): Promise<Result> =>
  working.run(id, work);

const idOf = (text: string | undefined | null): number | null =>
  text && /^[1-9]\d{0,9}$/.test(text) ? Number(text) : null;

/** Which household a request names; `firmly`: it may be no other; `inside`: this server itself works in it, for nobody. */
export interface ToldHousehold {
  id: number | null;
  firmly: boolean;
  inside: boolean;
}

/** Reads from the request; outside of one, what else there is. */
async function fromRequest<Value>(read: () => Promise<Value>, outside: () => Value): Promise<Value> {
  try {
    return await read();
  } catch (error) {
    // Outside of a request nothing is chosen; anything else is for Next.js.
    if (error instanceof Error && error.message.includes('outside a request scope')) return outside();
    throw error;
  }
}

/** The household that is meant. This server may be kept to one (`HOUSEHOLD_ID`). */
export async function toldHousehold(): Promise<ToldHousehold> {
  const inside = working.getStore();
  if (inside !== undefined) return { id: inside, firmly: true, inside: true };
  const kept = idOf(process.env.HOUSEHOLD_ID);
  if (kept !== null) return { id: kept, firmly: true, inside: false };
  const shown = await fromRequest(
    async () => idOf((await headers()).get(HOUSEHOLD_HEADER)),
    () => null,
  );
  if (shown !== null) return { id: shown, firmly: true, inside: false };
  return { id: idOf(await cookieOf(HOUSEHOLD_COOKIE)), firmly: false, inside: false };
}

/** The member who entered what is sent, as the page says; `null`: it does not say, or nobody was asked. */
export const toldMember = (): Promise<string | null> =>
  fromRequest(
    async () => (await headers()).get(MEMBER_HEADER) || null,
    () => null,
  );

/** What a cookie of the request holds. */
export const cookieOf = (name: string): Promise<string | undefined> =>
  fromRequest(
    async () => (await cookies()).get(name)?.value,
    () => cookieIn(asking.getStore() ?? '', name),
  );

/** Where a request comes from, as the server found it (scripts/server.mjs); nothing that its sender says of it. */
export const callerAddress = (): Promise<string> =>
  fromRequest(
    async () => (await headers()).get('x-orderly-frost-address') ?? 'nowhere',
    () => 'nowhere',
  );

const BROWSERS = [
  /\b(Edg)\w*\//,
  /\b(Firefox|FxiOS)\//,
  /\b(?:Headless)?(Chrome|CriOS|Chromium)\//,
  /\b(Safari)\//,
];
const BROWSER_NAMES: Readonly<Record<string, string>> = { Edg: 'Edge', FxiOS: 'Firefox', CriOS: 'Chrome' };
const SYSTEMS = ['Android', 'iPhone', 'iPad', 'Windows', 'Mac OS', 'CrOS', 'Linux'];

/** What a device is, by what its browser says: "Firefox on Android". */
export const callerDevice = (): Promise<string> =>
  fromRequest(
    async () => {
      const says = (await headers()).get('user-agent') ?? '';
      const found = BROWSERS.map((one) => one.exec(says)?.[1]).find((one) => one !== undefined);
      const browser = found === undefined ? 'A program' : (BROWSER_NAMES[found] ?? found);
      const system = SYSTEMS.find((one) => says.includes(one));
      return system === undefined ? browser : `${browser} on ${system === 'CrOS' ? 'a Chromebook' : system}`;
    },
    () => 'this machine',
  );

const asking = new AsyncLocalStorage<string>();

/** Does something as for a request with these cookies, before Next.js has it. */
export const withCookies = <Result>(header: string, work: () => Promise<Result>): Promise<Result> =>
  asking.run(header, work);

/** A cookie in a cookie header. */
function cookieIn(header: string, name: string): string | undefined {
  const found = header.split(/;\s*/).find((pair) => pair.startsWith(`${name}=`));
  return found?.slice(name.length + 1);
}
