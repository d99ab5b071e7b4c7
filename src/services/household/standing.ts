import { now } from '../door/clock';
import { minuteOf } from './context';
import { withCookies } from './chosen';
import { ourHousehold } from './household';

/** For a request with these cookies: another text after every command of the household, with other figures, and with every minute. */
export async function householdStanding(cookie: string): Promise<string> {
  const { id, changes, figures } = await withCookies(cookie, ourHousehold);
  return [id, changes, figures, minuteOf(now())].join(' ');
}
