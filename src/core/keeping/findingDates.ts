import { addDays, type CalendarDate } from '../calendar/calendarDate';
import type { Food } from '../foods/food';
import { MOST_COUNTER_MINUTES } from './counterMinutes';
import { type KeepingState, notAfter, setDates } from './keepingState';
import { days } from './startDates';

const MINUTES_A_DAY = 24 * 60;
const COUNTER_SOURCE = 'FoodSafety.gov: two hours out of the cold, one above 32 °C';

/** The governing date, and only it, moved to `limit` at most. */
function capGoverning(
  state: KeepingState,
  limit: CalendarDate,
): { useBy: CalendarDate | null; bestBy: CalendarDate } {
  if (state.useBy !== null) return { useBy: notAfter(state.useBy, limit), bestBy: state.bestBy };
  return { useBy: null, bestBy: notAfter(state.bestBy, limit) ?? limit };
}

/** Rule K12: what eyes and nose found may only move the date earlier. Turning: by tomorrow. Bad: out today. */
export function findingDates(state: KeepingState, on: CalendarDate, bad: boolean): void {
  const limit = bad ? on : addDays(on, 1);
  if (state.daysRemembered !== null) state.daysRemembered = Math.min(state.daysRemembered, bad ? 0 : 1);
  if (bad) state.condemned = true;
  setDates(
    state,
    'K12',
    capGoverning(state, limit),
    bad ? 'Found bad: throw it out, never taste.' : 'Found turning: use it by the day after.',
    'the cook’s own eyes and nose',
  );
}

/**
 * Rule K10: minutes out of the cold add up over a package's life, 120 in all, 60 above 32 °C (so a hot minute counts
 * for two). A food with counter days of its own follows those instead: a matter of quality.
 */
export function counterDates(
  state: KeepingState,
  { controlled, counterDaysMax, source }: Food,
  on: CalendarDate,
  minutes: number,
  hot: boolean,
): void {
  state.counterMinutes += hot ? minutes * 2 : minutes;
  if (state.state === 'frozen') return;
  if (!controlled) {
    if (counterDaysMax === null || state.counterMinutes <= counterDaysMax * MINUTES_A_DAY) return;
    setDates(
      state,
      'K10',
      capGoverning(state, on),
      `Out of the cold for more than its ${days(counterDaysMax)}: look at it first.`,
      source,
    );
    return;
  }
  if (state.counterMinutes <= MOST_COUNTER_MINUTES) return;
  state.condemned = true;
  setDates(
    state,
    'K10',
    capGoverning(state, on),
    'Out of the cold for over two hours in all (one above 32 °C): throw it out.',
    COUNTER_SOURCE,
  );
}
