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

/** True while nothing is known of how old something is but that it is here: its days are the earliest that can be. */
export function isOfUnknownAge(history: readonly HistoryEvent[]): boolean {
  const [first] = history;
  if (!first || !isStartEvent(first) || first.unknown !== true) return false;
  return history.every(({ did, on }) => on <= first.on || did === 'moved');
}

/**
 * Rules K1, K2 and K3b: the dates of a chilled food from its start. Controlled: use by after the longest refrigerator
 * days (careful: the shortest), best by after the shortest. Others: best by after the longest. What no maker packed has the days of the
 * home-made one where the others are a closed pack's. Figures: foods.csv.
 *
 * @param own no maker packed it
 */
export function startDates(
  state: KeepingState,
  { food, conditions }: KeepingCase,
  did: Start,
  own: boolean,
): void {
  const rate = chilledRate(state.celsius);
  const { fridgeDaysMin, fridgeDaysMax, homeDaysMin, homeDaysMax } = food;
  // A household's own food of before knows no such days; a wish for fewer holds for these too.
  const homeMade = own && typeof homeDaysMax === 'number';
  const figures = homeMade
    ? [homeDaysMin, homeDaysMax].map((figure) => Math.min(figure ?? 0, fridgeDaysMax ?? Infinity))
    : [fridgeDaysMin, fridgeDaysMax];
  const [least, most] = figures.map((figure) => slowedDays(figure ?? 0, rate)) as [number, number];
  if (homeMade) state.spoils = true;
  const on = state.startOn;
  const word = START_WORDS[did];
  if (food.controlled || homeMade) {
    const safe = conditions.caution === 'careful' ? least : most;
    setDates(
      state,
      homeMade ? 'K3b' : 'K2',
      { useBy: addDays(on, safe), bestBy: addDays(on, least) },
      `${food.name}${homeMade ? ', home-made or loose' : ''}: safe for ${days(safe)} in the fridge from the day it was ${word}, best within ${days(least)}.`,
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
