import { addDays, type CalendarDate } from '../calendar/calendarDate';
import { monthsBefore } from '../calendar/monthsBefore';
import { sayPlainDate } from '../calendar/sayDate';
import type { Start } from '../model/history';
import type { IntakeLine } from '../model/intakeLine';

/** How old what lies in a zone is, where a line does not say; asked once a zone. */
export const UNSAID_AGES = ['fresh', 'older', 'no-idea'] as const;
export type UnsaidAge = (typeof UNSAID_AGES)[number];

/** The earliest day that each answer can mean. */
const SINCE: Record<UnsaidAge, (today: CalendarDate) => CalendarDate> = {
  fresh: (today) => addDays(today, -7),
  older: (today) => monthsBefore(today, 6),
  'no-idea': (today) => monthsBefore(today, 12),
};

const SAID: Record<UnsaidAge, string> = {
  fresh: 'Fresh this week',
  older: 'Older than a week',
  'no-idea': 'No idea how old',
};

/** Since when something is in stock that nobody dated: since the earliest day it can be. */
export function unsaidStart(age: UnsaidAge, did: Start, today: CalendarDate): IntakeLine['start'] {
  const on = SINCE[age](today);
  const about = `${SAID[age]}: it counts from the earliest day it can be, ${sayPlainDate(on)}.`;
  return { did, on, about, unknown: true };
}
