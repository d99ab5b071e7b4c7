import { addDays } from '../calendar/calendarDate';
import { type HistoryEvent, type Start, STARTS } from '../model/history';
import { type KeepingCase, type KeepingState, setDates } from './keepingState';
import { chilledRate, slowedDays } from './spoilageRate';

export const START_WORDS: Record<Start, string> = {
  bought: 'bought',
  cooked: 'cooked',
  harvested: 'picked',
  given: 'given',
};

/** True for the events that begin a lot. */
export function isStart(did: string): did is Start {
  return (STARTS as readonly string[]).includes(did);
}

/** True for the event that begins a lot. */
export const isStartEvent = (event: HistoryEvent): event is Extract<HistoryEvent, { did: Start }> =>
  isStart(event.did);

/**
 * Rules K1 and K2: the dates of a chilled food from its start. Controlled: use by after the longest refrigerator
 * days (careful: the shortest), best by after the shortest. Others: best by after the longest. Figures: foods.csv.
 */
export function startDates(state: KeepingState, { food, conditions }: KeepingCase, did: Start): void {
  const rate = chilledRate(state.celsius);
  const most = slowedDays(food.fridgeDaysMax ?? 0, rate);
  const least = slowedDays(food.fridgeDaysMin ?? 0, rate);
  const on = state.startOn;
  const word = START_WORDS[did];
  if (food.controlled) {
    const safe = conditions.caution === 'careful' ? least : most;
    setDates(
      state,
      'K2',
      { useBy: addDays(on, safe), bestBy: addDays(on, least) },
      `${food.name}: safe for ${days(safe)} in the fridge from the day it was ${word}, best within ${days(least)}.`,
      food.source,
    );
  } else {
    setDates(
      state,
      'K2',
      { useBy: null, bestBy: addDays(on, most) },
      `${food.name}: good for ${days(most)} in the fridge from the day it was ${word}; a matter of quality.`,
      food.source,
    );
  }
}

/** "1 day", "4 days". */
export function days(count: number): string {
  return count === 1 ? '1 day' : `${count} days`;
}
