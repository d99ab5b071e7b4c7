import { type CalendarDate, daysBetween } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import type { Food } from '../model/food';
import { THAWS_C } from '../model/limits';
import { Refusal } from '../model/refusal';
import type { Wrap } from '../model/history';
import { type KeepingCase, type KeepingState, newCaps, noteRule, setDates } from './keepingState';
import { frozenLife } from './frozenLife';
import { days } from './startDates';

const WRAP_WORDS: Record<Wrap, string> = {
  'shop-tray': 'in the shop tray',
  carton: 'in its carton',
  tub: 'in a tub',
  'loose-bag': 'in a loose bag',
  'zip-bag': 'in a zip bag, air out',
  foil: 'in foil',
  paper: 'in freezer paper',
  vacuum: 'vacuum packed',
  glass: 'in glass',
  jar: 'in a jar',
};

/** What is to be thrown out (K10, K12) is not put to sleep either. @throws Refusal with the given rule */
export function refuseCondemned(state: KeepingState, { recorded }: KeepingCase, rule: string): void {
  if (state.condemned && !recorded) {
    throw new Refusal(rule, 'It is to be thrown out: found bad, or out of the cold for too long.');
  }
}

function refuseUnfit(food: Food, state: KeepingState, on: CalendarDate): void {
  if (food.freezeFit === 'no') {
    const other = food.note ? ` ${food.note}` : ' Cook it into a dish first; that would freeze.';
    throw new Refusal('K5', `${food.name} does not freeze well.${other}`);
  }
  if (state.useBy !== null && on > state.useBy) {
    throw new Refusal('K5', `Its use by was ${sayPlainDate(state.useBy)}: too late to freeze, throw it out.`);
  }
}

/** Puts a state to sleep: remembers the days left and sets the new best by. */
export function sleep(
  state: KeepingState,
  on: CalendarDate,
  bestBy: CalendarDate,
  line: { rule: string; says: string; source: string },
): void {
  state.daysRemembered = state.useBy === null ? null : Math.max(0, daysBetween(on, state.useBy));
  state.state = 'frozen';
  state.inFreezer = false;
  state.turning = false;
  state.thawed = null;
  newCaps(state);
  setDates(state, line.rule, { useBy: null, bestBy }, line.says, line.source);
}

/**
 * Rule K5: freezing stops the safety clock while the food stays at −18 °C or colder; what is left is a quality date.
 *
 * @param celsius of the freezer zone
 * @throws Refusal K5 when it is frozen already, does not freeze well, or is past its use by
 */
export function frozenDates(
  state: KeepingState,
  kase: KeepingCase,
  on: CalendarDate,
  celsius = kase.conditions.freezerC,
): void {
  const { food, conditions } = kase;
  if (state.state === 'frozen') throw new Refusal('K5', 'It is frozen already.');
  refuseCondemned(state, kase, 'K5');
  if (!kase.recorded) refuseUnfit(food, state, on);
  if (!kase.recorded && celsius > THAWS_C)
    throw new Refusal('K9', `At ${celsius} °C nothing freezes: put it into a colder freezer.`);
  const { months, rate, limit, bestBy } = frozenLife(kase, on, celsius);
  const left = state.useBy === null ? null : Math.max(0, daysBetween(on, state.useBy));
  const kept = left === null ? '' : ` ${days(left)} of its fridge time are left for after thawing.`;
  sleep(state, on, bestBy, {
    rule: 'K5',
    says: `Frozen ${WRAP_WORDS[conditions.wrap]}: best within ${sayMonths(months)}.${kept}`,
    source: food.source,
  });
  state.celsius = celsius;
  if (limit) noteRule(state, 'K5', limit.says, food.source);
  if (food.freezeFit === 'poor') {
    noteRule(
      state,
      'K5',
      `It suffers from freezing: for cooking only afterwards. ${food.note}`.trim(),
      food.source,
    );
  }
  if (rate > 1) noteWarmFreezer(state, celsius, rate);
}

/** The line of the trail for a freezer that is not at −18 °C (K9). */
export function noteWarmFreezer(state: KeepingState, celsius: number, rate: number): void {
  noteRule(
    state,
    'K9',
    `The freezer stands at ${celsius} °C, not −18: it loses quality ${rate.toFixed(1)} times as fast.`,
    'our fit to public time and temperature data',
  );
}

/** "3½ months", "1 month", "2.1 months". */
export function sayMonths(months: number): string {
  const rounded = Math.round(months * 10) / 10;
  const text =
    Number.isInteger(rounded * 2) && !Number.isInteger(rounded)
      ? `${Math.floor(rounded) || ''}½`
      : `${rounded}`;
  return rounded === 1 ? '1 month' : `${text} months`;
}
