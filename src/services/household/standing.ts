import { now } from '../door/clock';
import { minuteOf } from './context';
import { ourHousehold } from './household';

/** Another text after every command of the household, with other figures, and with every minute. */
export async function householdStanding(): Promise<string> {
  const { id, changes, figures } = await ourHousehold();
  return [id, changes, figures, minuteOf(now())].join(' ');
}
