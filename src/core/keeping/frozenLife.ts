import { addMonths } from '../calendar/addMonths';
import type { CalendarDate } from '../calendar/calendarDate';
import type { Food } from '../model/food';
import type { Wrap } from '../model/history';
import type { KeepingCase } from './keepingState';
import { frozenRate } from './spoilageRate';

/** Months a food keeps its quality at −18 °C in this wrap (K5): tight wraps the longest figure, loose the shortest. */
function monthsInWrap(food: Food, wrap: Wrap): number {
  const least = food.freezerMonthsMin ?? 0;
  const most = food.freezerMonthsMax ?? least;
  switch (wrap) {
    case 'shop-tray':
    case 'carton':
    case 'tub':
    case 'loose-bag':
      return least;
    case 'zip-bag':
    case 'foil':
    case 'paper':
      return (least + most) / 2;
    case 'vacuum':
    case 'glass':
    case 'jar':
      return most;
  }
}

/** The longest a food frozen raw may stay, in months, and why; `null` when blanching does not matter to it. */
function unblanchedLimit(food: Food): { months: number; says: string } | null {
  if (food.blanchOptional === true && food.unblanchedMonthsMax !== null) {
    return {
      months: food.unblanchedMonthsMax,
      says: `Frozen raw, not blanched: at most ${food.unblanchedMonthsMax} months.`,
    };
  }
  if (food.blanchOptional === false && food.blanchMinutes !== null) {
    return {
      months: 1,
      says: `Frozen raw though it wants ${food.blanchMinutes} minutes of blanching: at most 1 month, use it soon.`,
    };
  }
  return null;
}

/** What a food frozen on a day may look forward to. */
export interface FrozenLife {
  /** Months of quality, wrap, blanching and the freezer's temperature counted. */
  months: number;
  /** How much faster than at −18 °C it loses quality. */
  rate: number;
  limit: { months: number; says: string } | null;
  bestBy: CalendarDate;
}

/** Months and best by of a food frozen on a day in a freezer of `celsius` °C (K5, K9). Figures: foods.csv. */
export function frozenLife({ food, conditions }: KeepingCase, on: CalendarDate, celsius: number): FrozenLife {
  const limit = conditions.blanched ? null : unblanchedLimit(food);
  const rate = frozenRate(celsius);
  const months = Math.min(monthsInWrap(food, conditions.wrap), limit?.months ?? Infinity) / rate;
  return { months, rate, limit, bestBy: addMonths(on, months) };
}
