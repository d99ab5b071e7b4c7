import { addDays, type CalendarDate, earlier } from '../calendar/calendarDate';
import { Refusal } from '../model/refusal';
import { type KeepingCase, type KeepingState, setDates } from './keepingState';
import { days } from './startDates';

/**
 * Kept out of the cold by design (state "room"): only foods with counter days of their own, all of them with a quality
 * date only. On the day it came in those days begin; later they may only shorten what stands. Figure: foods.csv,
 * `counter_days_max`.
 *
 * @throws Refusal K10 for a food that belongs in the cold
 */
export function keptOutDates(state: KeepingState, { food }: KeepingCase, on: CalendarDate): void {
  if (food.controlled || food.counterDaysMax === null) {
    throw new Refusal('K10', `${food.name} is not kept out of the cold: two hours in all, one above 32 °C.`);
  }
  if (state.state === 'frozen' || state.state === 'thawing') {
    throw new Refusal('K10', 'It is frozen: thaw it first.');
  }
  if (state.state === 'room') throw new Refusal('K10', 'It is kept out of the cold already.');
  state.state = 'room';
  const most = addDays(on, food.counterDaysMax);
  const fresh = on === state.startOn && state.openedOn === null;
  setDates(
    state,
    'K10',
    { useBy: state.useBy, bestBy: fresh ? most : (earlier(state.bestBy, most) ?? most) },
    `Kept out of the cold, where it belongs: good for ${days(food.counterDaysMax)}; a matter of quality.`,
    food.source,
  );
}
