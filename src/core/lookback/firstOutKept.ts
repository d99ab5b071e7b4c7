import type { CalendarDate } from '../calendar/calendarDate';

/** A package's time in the store, for asking whether the oldest went first. */
export interface Stay {
  id: string;
  foodId: string;
  frozen: boolean;
  cameOn: CalendarDate;
  goneOn: CalendarDate | null;
  goneHow: string | null;
  /** Sorts in first-out order. */
  firstOut: string;
}

/** How often the oldest of a food went first. */
export interface FirstOutKept {
  kept: number;
  jumped: number;
}

const EATEN: readonly (string | null)[] = ['taken', 'cooked', 'given'];

/**
 * Of the packages that were eaten whole, how many were the first of their food to go, and how many jumped one that should have gone
 * before it and was still here the day after. By food and as it was kept; what left on one day went together.
 */
export function firstOutKept(stays: readonly Stay[]): FirstOutKept {
  const foods = new Map<string, Stay[]>();
  for (const stay of stays) {
    const key = `${stay.foodId} ${stay.frozen}`;
    const its = foods.get(key);
    if (its) its.push(stay);
    else foods.set(key, [stay]);
  }
  const counts = { kept: 0, jumped: 0 };
  for (const all of foods.values()) {
    const inOrder = [...all].sort((a, b) => (a.firstOut < b.firstOut ? -1 : 1));
    inOrder.forEach((stay, at) => {
      const { goneOn } = stay;
      if (goneOn === null || !EATEN.includes(stay.goneHow)) return;
      const passed = inOrder
        .slice(0, at)
        .some(
          (other) =>
            other.firstOut < stay.firstOut &&
            other.cameOn <= goneOn &&
            (other.goneOn === null || other.goneOn > goneOn),
        );
      if (passed) counts.jumped++;
      else counts.kept++;
    });
  }
  return counts;
}
