import { addDays, type CalendarDate } from '../calendar/calendarDate';
import type { Food } from '../model/food';
import { Refusal } from '../model/refusal';
import type { HistoryEvent, KeepingConditions } from '../model/history';
import { judgeKeeping, type Keeping } from './judgeKeeping';

export const CHOICES = ['leave', 'open', 'freeze', 'thaw', 'cook'] as const;
export type ChoiceKind = (typeof CHOICES)[number];

/** One thing a cook might do with a package on a day, and the date it would have then. */
export interface WhatIf {
  choice: ChoiceKind;
  on: CalendarDate;
  governing: Keeping['governing'] | null;
  useBy: CalendarDate | null;
  bestBy: CalendarDate | null;
  /** Why it cannot be done; `null` when it can. */
  refused: string | null;
}

/** How cold it is where it would be frozen, °C; not told: −18. */
type Cold = { c?: number };

const EVENTS: Record<
  Exclude<ChoiceKind, 'leave' | 'cook'>,
  (on: CalendarDate, thawed: boolean, cold: Cold) => HistoryEvent
> = {
  open: (on) => ({ did: 'opened', on }),
  freeze: (on, thawed, cold) => ({ did: thawed ? 'refrozen' : 'frozen', on, ...cold }),
  thaw: (on) => ({ did: 'thawing', on }),
};

/** What one choice on one day would do; a refusal is told, not thrown. */
export function whatIfOne(
  food: Food,
  history: readonly HistoryEvent[],
  conditions: KeepingConditions,
  choice: Exclude<ChoiceKind, 'cook'>,
  on: CalendarDate,
  cold: Cold = {},
): WhatIf {
  const thawed = history.some(({ did }) => did === 'thawing' || did === 'thawed');
  const next = choice === 'leave' ? history : [...history, EVENTS[choice](on, thawed, cold)];
  try {
    const { governing, useBy, bestBy } = judgeKeeping(food, next, on, conditions);
    return { choice, on, governing, useBy, bestBy, refused: null };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return { choice, on, governing: null, useBy: null, bestBy: null, refused: error.says };
  }
}

/** Cooked on a day, a new lot begins, judged as the dish; only from what was safe to cook (K2). */
function cookIf(raw: Keeping, dish: Food, conditions: KeepingConditions, on: CalendarDate): WhatIf {
  const nothing = { choice: 'cook' as const, on, governing: null, useBy: null, bestBy: null };
  if (raw.condemned || (raw.useBy !== null && raw.useBy < on)) {
    return { ...nothing, refused: 'It was past its use by: cooking does not make it safe. Throw it out.' };
  }
  const anew = { ...conditions, printed: null, thawHours: null };
  const { governing, useBy, bestBy } = judgeKeeping(dish, [{ did: 'cooked', on }], on, anew);
  return { ...nothing, governing, useBy, bestBy, refused: null };
}

/** Freezing day by day; once it is refused it stays so, and the first refusal tells why. */
function freezeDays(days: number, on: (at: number) => WhatIf): WhatIf[] {
  const tried: WhatIf[] = [];
  for (let at = 0; at < days; at++) {
    const next = on(at);
    tried.push(next);
    if (next.refused !== null) break;
  }
  return tried;
}

/**
 * What would happen to a package's date: left alone, opened, frozen today or on the days after, thawed, cooked. Told
 * by the same engine as the real events.
 *
 * @param days how many days from today freezing is tried on, at least 1
 * @param dish what it is judged as once cooked; `null`: it is not cooked
 * @param cold how cold it is where it would be frozen
 */
export function whatIf(
  food: Food,
  history: readonly HistoryEvent[],
  conditions: KeepingConditions,
  today: CalendarDate,
  days: number,
  dish: Food | null,
  cold: Cold = {},
): WhatIf[] {
  const raw = judgeKeeping(food, history, today, conditions);
  const one = (choice: Exclude<ChoiceKind, 'cook'>, on = today): WhatIf =>
    whatIfOne(food, history, conditions, choice, on, cold);
  if (raw.state === 'frozen') return [one('leave'), one('thaw')];
  return [
    one('leave'),
    ...(raw.openedOn === null ? [one('open')] : []),
    ...freezeDays(days, (at) => one('freeze', addDays(today, at))),
    ...(dish ? [cookIf(raw, dish, conditions, today)] : []),
  ];
}
