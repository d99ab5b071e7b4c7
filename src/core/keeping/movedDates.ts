import { SAFE_CHILL_C } from '../model/limits';
import { addDays, type CalendarDate, daysBetween, earlier } from '../calendar/calendarDate';
import { type KeepingCase, type KeepingState, setDates } from './keepingState';
import { chilledRate, frozenRate, slowedDays } from './spoilageRate';

const SOURCE = 'our fit to public time and temperature data';

/**
 * Rule K9 on a move: the days then left are scaled by the ratio of the two zones' rates, rounded down, and never past a cap.
 * A "freezer" that measures warmer than a fridge keeps nothing frozen: a controlled food in it is for that day.
 */
export function movedDates(
  state: KeepingState,
  { food }: Pick<KeepingCase, 'food'>,
  on: CalendarDate,
  celsius: number,
): void {
  const rateAt = state.state === 'frozen' ? frozenRate : chilledRate;
  const ratio = rateAt(celsius) / rateAt(state.celsius);
  state.celsius = celsius;
  if (state.state === 'room') state.state = 'chilled';
  if (state.state === 'frozen' && celsius > SAFE_CHILL_C && food.controlled) {
    const end = earlier(on, state.bestBy) ?? on;
    state.endsOn ??= end;
    state.caps.useBy = earlier(state.caps.useBy, end);
    setDates(
      state,
      'K9',
      { useBy: end, bestBy: state.bestBy },
      `At ${celsius} °C nothing stays frozen: look at it today, and judge it as after a power cut.`,
      SOURCE,
    );
    return;
  }
  if (ratio === 1) return;
  const scaled = (date: CalendarDate): CalendarDate => {
    const left = daysBetween(on, date);
    return left <= 0 ? date : addDays(on, slowedDays(left, ratio));
  };
  setDates(
    state,
    'K9',
    { useBy: state.useBy === null ? null : scaled(state.useBy), bestBy: scaled(state.bestBy) },
    ratio > 1
      ? `Moved to a zone at ${celsius} °C: what is left runs ${ratio.toFixed(1)} times as fast.`
      : `Moved back to a colder zone at ${celsius} °C.`,
    SOURCE,
  );
}
