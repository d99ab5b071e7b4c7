import { withCookies } from '../household/chosen';
import { Problem } from '../door/problem';
import { asksForKeys } from './asksForKeys';
import { whoAsks } from './whoAsks';

/** Pages that are open to whoever comes; the API and the calendar let in by themselves. */
const OPEN =
  /^\/((sign-in|join|blank|calendar\.ics|(apple-)?icon[\w.-]*|manifest[\w.-]*)$|label\/[^/]+$|api\/|_next\/)/;
/** Pages that a guest may see. */
const GUESTS = /^\/guest\b/;

/** Where a label leads somebody who is no member: to the label alone, when the key printed on it is good. */
function labelOf({ pathname, searchParams }: URL): string | null {
  const [, code] = /^\/p\/([A-Za-z0-9]{2,8})$/.exec(pathname) ?? [];
  const key = searchParams.get('g');
  return code && key ? `/label/${code}?g=${encodeURIComponent(key)}` : null;
}

/**
 * Where somebody who asks for a page has to go first; `null`: she may have it.
 *
 * @param address of the page, path and query @param cookie of the request
 */
export async function gate(address: string, cookie: string): Promise<string | null> {
  if (!asksForKeys()) return null;
  const url = new URL(address, 'http://localhost');
  if (OPEN.test(url.pathname)) return null;
  try {
    const { role } = await withCookies(cookie, whoAsks);
    if (role !== 'guest') return GUESTS.test(url.pathname) ? '/stock/take' : null;
    const [, code] = /^\/p\/([A-Za-z0-9]{2,8})$/.exec(url.pathname) ?? [];
    if (code) return `/guest/${code}`;
    return GUESTS.test(url.pathname) ? null : '/guest';
  } catch (error) {
    if (!(error instanceof Problem)) throw error;
    url.searchParams.delete('_rsc');
    const back = `${url.pathname}${url.search}`;
    return labelOf(url) ?? (back === '/' ? '/sign-in' : `/sign-in?to=${encodeURIComponent(back)}`);
  }
}
