import { now } from '../door/clock';
import { whoAsks } from '../keys/whoAsks';
import { minuteOf } from './context';
import { withCookies } from './chosen';
import { ourHousehold } from './household';

/** For a request with these cookies: another text after every command of the household, with other figures, with every minute, and for every other role. */
export const householdStanding = (cookie: string): Promise<string> =>
  withCookies(cookie, async () => {
    const { role } = await whoAsks();
    const { id, changes, figures } = await ourHousehold();
    return [id, changes, figures, role, minuteOf(now())].join(' ');
  });
