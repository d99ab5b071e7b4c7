import { SAFE_CHILL_C, THAWS_C } from '../model/limits';
import { addDays, type CalendarDate, daysBetween, earlier } from '../calendar/calendarDate';
import {
  capGoverning,
  governingOf,
  type KeepingCase,
  type KeepingState,
  notAfter,
  setDates,
} from './keepingState';
import { refrozenDates } from './refrozenDates';
import { wake } from './thawedDates';
import { chilledRate, frozenRate, slowedDays } from './spoilageRate';

const SOURCE = 'our fit to public time and temperature data';

/**
 * Rule K9 on a move: the days then left are scaled by the ratio of the two zones' rates, rounded down, and never past a cap. In a
 * "freezer" above −2 °C it thaws (K6), and getting cold again is freezing it again (K8); where it is warmer than a fridge, what spoils is
 * for that day.
 */
export function movedDates(state: KeepingState, kase: KeepingCase, on: CalendarDate, celsius: number): void {
  if (state.state === 'frozen' && celsius > THAWS_C) {
    const stood = governingOf(state);
    wake(state, kase, on, 'fridge', 'K9', celsius);
    state.state = 'chilled';
    state.inFreezer = true;
    state.turning = false;
    const spoilt = celsius > SAFE_CHILL_C && kase.food.controlled;
    const limit = spoilt ? (earlier(stood, on) ?? on) : stood;
    if (spoilt) state.endsOn = earlier(state.endsOn, limit);
    // Warmth lengthens nothing.
    capGoverning(state, limit);
    const says = spoilt
      ? `At ${celsius} °C nothing stays frozen: look at it today, and judge it as after a power cut.`
      : `At ${celsius} °C nothing stays frozen: it counts as thawed in the fridge.`;
    const bestBy = earlier(state.bestBy, limit) ?? limit;
    setDates(state, 'K9', { useBy: notAfter(state.useBy, limit), bestBy }, says, SOURCE);
    return;
  }
  if (state.inFreezer && celsius <= THAWS_C) {
    // What is past its date does not grow good by the cold.
    if (
      state.condemned ||
      state.turning ||
      state.endsOn !== null ||
      (state.useBy !== null && on > state.useBy)
    )
      state.celsius = celsius;
    else refrozenDates(state, kase, on, celsius);
    return;
  }
  const rateAt = state.state === 'frozen' ? frozenRate : chilledRate;
  const ratio = rateAt(celsius) / rateAt(state.celsius);
  state.celsius = celsius;
  if (state.state === 'room') state.state = 'chilled';
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
