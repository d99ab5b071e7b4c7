import { addDays, type CalendarDate } from '../calendar/calendarDate';
import { capGoverning, type KeepingState, notAfter, setDates } from './keepingState';

/** Rule K12: what eyes and nose found may only move the date earlier. Turning: by tomorrow. Bad: out today. */
export function findingDates(state: KeepingState, on: CalendarDate, bad: boolean): void {
  state.turning = true;
  const limit = bad ? on : addDays(on, 1);
  if (state.daysRemembered !== null) state.daysRemembered = Math.min(state.daysRemembered, bad ? 0 : 1);
  if (bad) {
    state.condemned = true;
    state.endsOn ??= on;
  }
  capGoverning(state, limit);
  setDates(
    state,
    'K12',
    {
      useBy: notAfter(state.useBy, limit),
      bestBy: state.useBy === null ? (notAfter(state.bestBy, limit) ?? limit) : state.bestBy,
    },
    bad ? 'Found bad: throw it out, never taste.' : 'Found turning: use it by the day after.',
    'the cook’s own eyes and nose',
  );
}
