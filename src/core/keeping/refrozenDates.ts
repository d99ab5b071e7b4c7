import { addMonths } from '../calendar/addMonths';
import { type CalendarDate, daysBetween } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import { THAWS_C } from '../model/limits';
import { Refusal } from '../model/refusal';
import { noteWarmFreezer, refuseCondemned, sayMonths, sleep } from './frozenDates';
import type { KeepingCase, KeepingState } from './keepingState';
import { frozenRate } from './spoilageRate';

/**
 * Rule K8: frozen once more. Only after thawing in the refrigerator, within its use by; half of the shortest freezer
 * figure is left, and the days then left go on being remembered.
 *
 * @param celsius of the freezer zone
 * @throws Refusal K8 when it was not thawed, thawed another way, is past its use by or stood out too long
 */
export function refrozenDates(
  state: KeepingState,
  kase: KeepingCase,
  on: CalendarDate,
  celsius = kase.conditions.freezerC,
): void {
  const { food } = kase;
  refuseCondemned(state, kase, 'K8');
  if (state.thawed === null || state.state === 'frozen') {
    throw new Refusal('K8', 'It was not thawed, so it cannot be frozen again.');
  }
  if (state.thawed.method !== 'fridge') {
    throw new Refusal('K8', 'It was not thawed in the fridge. Cook it first; the cooked dish may be frozen.');
  }
  if (state.useBy !== null && on > state.useBy && !kase.recorded) {
    throw new Refusal(
      'K8',
      `Its use by was ${sayPlainDate(state.useBy)}: too late to freeze again, throw it out.`,
    );
  }
  if (celsius > THAWS_C && !kase.recorded)
    throw new Refusal('K9', `At ${celsius} °C nothing freezes: put it into a colder freezer.`);
  // Days on the way down and up are spent, too: no thawing and freezing again adds one (K6).
  const { from } = state.thawed;
  const left =
    state.daysRemembered === null ? null : Math.max(0, state.daysRemembered - daysBetween(from, on));
  const rate = frozenRate(celsius);
  const months = (food.freezerMonthsMin ?? 0) / 2 / rate;
  sleep(state, on, addMonths(on, months), {
    rule: 'K8',
    says: `Frozen again after thawing in the fridge: best within ${sayMonths(months)}, with some loss of texture.`,
    source: food.source,
  });
  if (left !== null && state.daysRemembered !== null)
    state.daysRemembered = Math.min(state.daysRemembered, left);
  state.celsius = celsius;
  if (rate > 1) noteWarmFreezer(state, celsius, rate);
}
