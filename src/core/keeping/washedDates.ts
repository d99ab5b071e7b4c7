import { addDays, daysBetween, type CalendarDate } from '../calendar/calendarDate';
import { capGoverning, governingOf, type KeepingState, noteRule, setDates } from './keepingState';

const SOURCE = 'public advice on storing produce: wash just before use, or dry it well; our own figure';

/**
 * Washed before it was put away. Quite dry: the dates stay. Still damp: half of the days left, since mould and rot need the
 * wet. It may only bring dates forward.
 *
 * @param dried patted or spun quite dry
 */
export function washedDates(state: KeepingState, on: CalendarDate, dried: boolean): void {
  if (dried) {
    noteRule(state, 'washing', 'Washed and dried well: the dates stay.', SOURCE);
    return;
  }
  const half = addDays(on, Math.max(0, Math.floor(daysBetween(on, governingOf(state)) / 2)));
  capGoverning(state, half);
  const sooner = (date: CalendarDate): CalendarDate => (half < date ? half : date);
  setDates(
    state,
    'washing',
    { useBy: state.useBy === null ? null : sooner(state.useBy), bestBy: sooner(state.bestBy) },
    'Washed and still damp: half of the days are left.',
    SOURCE,
  );
}
