import { isWholeProduce } from '../foods/openedFood';
import { addDays, type CalendarDate, earlier } from '../calendar/calendarDate';
import { Refusal } from '../model/refusal';
import { type KeepingCase, type KeepingState, noteRule, notAfter, setDates } from './keepingState';
import { chilledRate, slowedDays } from './spoilageRate';
import { days } from './startDates';

/**
 * Rule K4: opening starts a shorter clock, the day it was opened being day 0; what stood before may only be kept or
 * shortened. While frozen the dates stay, yet the days left after thawing shrink to the opened figure.
 *
 * @throws Refusal K4 when the package is open already
 */
export function openedDates(state: KeepingState, { food, conditions }: KeepingCase, on: CalendarDate): void {
  if (state.openedOn !== null) {
    throw new Refusal('K4', `It was opened on ${state.openedOn} already; a package opens once.`);
  }
  state.openedOn = on;
  if (food.openedDaysMax === null || food.openedDaysMin === null) {
    if (conditions.caution === 'printed' && food.readiness === 'raw-animal' && state.state === 'chilled') {
      const most = slowedDays(food.fridgeDaysMax ?? 0, chilledRate(state.celsius));
      const useBy = notAfter(state.useBy, addDays(on, most));
      const says = `Opened: the maker's date counts no more; ${days(most)} from then at most.`;
      setDates(state, 'K3c', { useBy, bestBy: state.bestBy }, says, food.source);
      return;
    }
    noteRule(state, 'K4', 'Opened: there is no own figure for that, so the dates stay.', food.source);
    return;
  }
  const cut = isWholeProduce(food);
  if (cut) state.spoils = true;
  const controlled = food.controlled || cut;
  const rate = chilledRate(state.celsius);
  const most = slowedDays(food.openedDaysMax, rate);
  const least = slowedDays(food.openedDaysMin, rate);
  if (state.state === 'frozen') {
    if (state.daysRemembered !== null) state.daysRemembered = Math.min(state.daysRemembered, most);
    noteRule(
      state,
      'K4',
      `Opened while frozen: the date stays; once thawed at most ${days(most)}.`,
      food.source,
    );
    return;
  }
  const safe = controlled && conditions.caution === 'careful' ? least : most;
  const stood = cut ? earlier(state.useBy, state.bestBy) : state.useBy;
  setDates(
    state,
    'K4',
    {
      useBy: notAfter(stood, addDays(on, safe)),
      bestBy: notAfter(state.bestBy, addDays(on, controlled ? least : most)) ?? state.bestBy,
    },
    `${cut ? 'Cut open' : 'Opened'}: ${days(controlled ? safe : most)} from then at most, or what stood before if that is earlier.`,
    food.source,
  );
}
