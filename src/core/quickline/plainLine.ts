import type { CalendarDate } from '../calendar/calendarDate';
import type { IntakeLine } from '../model/intakeLine';

/** A line that says nothing but what was bought, how much of it and when: one pack, as it came. */
export function plainLine(
  told: Pick<IntakeLine, 'food' | 'called' | 'amount' | 'unit'>,
  on: CalendarDate,
): IntakeLine {
  return {
    ...told,
    packs: 1,
    form: null,
    wrap: null,
    priceMinor: null,
    zone: null,
    printed: null,
    start: { did: 'bought', on },
    openedOn: null,
    frozenOn: null,
    blanched: true,
    note: '',
  };
}
