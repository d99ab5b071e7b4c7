import type { CalendarDate } from '../../calendar/calendarDate';
import type { Food } from '../../model/food';
import type { Caution } from '../../model/history';
import { Refusal } from '../../model/refusal';
import { withEvents } from './withEvents';
import type { Package } from '../../model/package';

/**
 * A package as it will stand once it is frozen: what its label says while it is still on the counter. Nothing is recorded. What
 * may not be frozen, or is frozen, stays as it is.
 *
 * @param on the day it will be frozen, from today on
 * @param cold how cold it is where it goes; not told: −18 °C
 */
export function asFrozen(
  item: Package,
  food: Food,
  on: CalendarDate,
  caution: Caution,
  cold: { c?: number },
): Package {
  if (item.state === 'frozen') return item;
  const again = item.history.some(({ did }) => did === 'thawing' || did === 'thawed');
  try {
    return withEvents(
      item,
      [{ did: again ? 'refrozen' : 'frozen', on, ...cold }],
      { today: on, caution, food: () => food },
      { wrap: item.wrap ?? 'zip-bag' },
    );
  } catch (error) {
    if (error instanceof Refusal) return item;
    throw error;
  }
}
