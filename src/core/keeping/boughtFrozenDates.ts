import { earlier } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import { Refusal } from '../model/refusal';
import { noteWarmFreezer, sayMonths } from './frozenDates';
import { frozenLife } from './frozenLife';
import { USUAL_CONDITIONS } from '../model/history';
import { type KeepingCase, type KeepingState, noteRule, setDates } from './keepingState';
import { movedDates } from './movedDates';
import { days } from './startDates';

/**
 * Bought frozen (K5): frozen from the day it came in, never chilled before. Months as for its wrap; a printed best-before is
 * its best by, a printed use-by or freeze-by at most; once thawed it has the days of its table (`thawed_days`, none given: 1).
 *
 * @param celsius of the freezer zone it went into
 * @throws Refusal K5 for a food that is not for freezing and carries no printed date either
 */
export function boughtFrozenDates(
  state: KeepingState,
  kase: KeepingCase,
  celsius = kase.conditions.freezerC,
): void {
  const { food, conditions } = kase;
  const { printed } = conditions;
  if (food.freezeFit === 'no' && printed === null && !kase.recorded) {
    throw new Refusal(
      'K5',
      `${food.name} has no months in a freezer: write down the date that is printed on it.`,
    );
  }
  const life = frozenLife(kase, state.startOn, celsius);
  state.state = 'frozen';
  state.celsius = celsius;
  state.daysRemembered = food.controlled ? (food.thawedDays ?? 1) : null;
  const later = food.controlled ? ` Once thawed in the fridge: ${days(state.daysRemembered ?? 1)}.` : '';
  setDates(
    state,
    'K5',
    { useBy: null, bestBy: life.bestBy },
    `Bought frozen: best within ${sayMonths(life.months)}.${later}`,
    food.source,
  );
  if (life.rate > 1) noteWarmFreezer(state, celsius, life.rate);
  if (printed === null) return;
  const shown = sayPlainDate(printed.date);
  const maker = "the maker's printed date";
  if (printed.kind === 'sell-by') {
    noteRule(state, 'K3', `Printed sell-by ${shown}: for the shop, it sets nothing here.`, maker);
    return;
  }
  const best =
    printed.kind === 'best-before' ? printed.date : (earlier(life.bestBy, printed.date) ?? printed.date);
  setDates(
    state,
    'K3',
    { useBy: null, bestBy: best },
    `Printed ${printed.kind} ${shown}: its best by while it stays frozen.`,
    maker,
  );
  state.caps.bestBy = printed.date;
  if (life.rate > 1 && printed.kind === 'best-before') {
    // The maker's date holds at −18 °C.
    state.celsius = USUAL_CONDITIONS.freezerC;
    movedDates(state, kase, state.startOn, celsius);
  }
}
