import { addDays, type CalendarDate, earlier } from '../calendar/calendarDate';
import { Refusal } from '../model/refusal';
import type { ThawMethod } from '../model/history';
import {
  governingOf,
  type KeepingCase,
  type KeepingState,
  newCaps,
  notAfter,
  setDates,
} from './keepingState';
import { chilledRate, slowedDays } from './spoilageRate';
import { days } from './startDates';

const METHOD_WORDS: Record<ThawMethod, string> = {
  fridge: 'in the fridge',
  'cold-water': 'in cold water',
  microwave: 'in the microwave',
  metal: 'on a metal sheet',
};

/** Writes the dates of a package thawed on a day by a method (K6). @param from the day it was moved down */
export function wake(
  state: KeepingState,
  { food, conditions }: KeepingCase,
  on: CalendarDate,
  method: ThawMethod,
  rule: string,
  celsius = conditions.fridgeC,
  from = on,
): void {
  state.thawed = { on, method, from };
  state.celsius = celsius;
  newCaps(state);
  const rate = chilledRate(state.celsius);
  if (!food.controlled) {
    const figure = slowedDays(food.thawedDays ?? food.fridgeDaysMin ?? 1, rate);
    setDates(
      state,
      rule,
      { useBy: null, bestBy: addDays(on, figure) },
      `Thawed ${METHOD_WORDS[method]}: good for ${days(figure)}; a matter of quality.`,
      food.source,
    );
    return;
  }
  if (method !== 'fridge') {
    newCaps(state, { useBy: on });
    setDates(
      state,
      rule,
      { useBy: on, bestBy: on },
      `Thawed ${METHOD_WORDS[method]}: cook it at once.`,
      food.source,
    );
    return;
  }
  const figure = slowedDays(food.thawedDays ?? 1, rate);
  const left = state.daysRemembered ?? figure;
  if (state.daysRemembered !== null) newCaps(state, { useBy: addDays(on, left) });
  const date = addDays(on, Math.min(figure, left));
  setDates(
    state,
    rule,
    { useBy: date, bestBy: date },
    left < figure
      ? `Thawed in the fridge: ${days(left)}, since that is what was left when it was frozen.`
      : `Thawed in the fridge: ${days(figure)} from then.`,
    food.source,
  );
}

/**
 * Rule K7: moved down to thaw in the refrigerator. For dates it thawed after its typical hours, rounded down to whole
 * days; with no mass known on the day it started. So the model errs early.
 *
 * @param celsius of the zone it thaws in; not told: the conditions'
 * @throws Refusal K7 when it is not frozen
 */
export function thawingDates(
  state: KeepingState,
  kase: KeepingCase,
  on: CalendarDate,
  celsius?: number,
): void {
  if (state.state !== 'frozen') throw new Refusal('K7', 'It is not frozen, so there is nothing to thaw.');
  const wholeDays = Math.floor((kase.conditions.thawHours ?? 0) / 24);
  wake(state, kase, addDays(on, wholeDays), 'fridge', 'K7', celsius, on);
  state.state = 'thawing';
}

/**
 * Rule K6: thawed. In the refrigerator what was spent before freezing stays spent; in cold water or the microwave it
 * is to be cooked at once; on metal or the counter only food with a quality date. Told after `thawing`, it may only
 * bring the date forward.
 *
 * @throws Refusal K6 when it is not frozen or thawing, or the method is not for a controlled food
 */
export function thawedDates(
  state: KeepingState,
  kase: KeepingCase,
  on: CalendarDate,
  method: ThawMethod,
): void {
  if (state.state === 'chilled' || state.state === 'room')
    throw new Refusal('K6', 'It is not frozen, so there is nothing to thaw.');
  if (method === 'metal' && kase.food.controlled) {
    throw new Refusal(
      'K6',
      `${kase.food.name} must not thaw out of the cold: its outside would stand warm for hours. Use the fridge, or cold water and cook at once.`,
    );
  }
  if (state.state === 'thawing') {
    state.state = 'chilled';
    if (method !== 'fridge' && kase.food.controlled) {
      state.thawed = { on, method, from: state.thawed?.from ?? on };
      const date = earlier(state.useBy, on) ?? on;
      newCaps(state, { useBy: date });
      setDates(
        state,
        'K6',
        { useBy: date, bestBy: date },
        `Finished ${METHOD_WORDS[method]}: cook it at once.`,
        kase.food.source,
      );
    } else if (state.thawed && on < state.thawed.on) {
      const stood = { useBy: state.useBy, bestBy: state.bestBy };
      const found = state.caps;
      wake(state, kase, on, 'fridge', 'K7', state.celsius, state.thawed.from);
      // What shortened it meanwhile (opened, found turning, a warmer zone) goes on to count.
      newCaps(state, {
        useBy: earlier(earlier(state.caps.useBy, found.useBy), stood.useBy),
        bestBy: earlier(found.bestBy, stood.bestBy),
      });
      state.useBy = state.caps.useBy === null ? state.useBy : notAfter(state.useBy, state.caps.useBy);
      state.bestBy = earlier(state.bestBy, state.caps.bestBy) ?? state.bestBy;
      const [line] = state.trail.splice(-1);
      if (line) state.trail.push({ ...line, to: governingOf(state) });
    }
    return;
  }
  wake(state, kase, on, method, 'K6');
  state.state = 'chilled';
}
