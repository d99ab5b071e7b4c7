import type { CalendarDate } from '../calendar/calendarDate';
import type { MealPromise } from '../model/meal';
import type { Package } from '../model/package';

type Promised = Pick<Package, 'amount' | 'promised' | 'answer'>;

/**
 * What of a package is promised from a day on: to meals, and by a plan for a day to come. What was answered for today is for
 * whoever takes it today.
 */
export function promisesOf({ amount, promised = [], answer }: Promised, today: CalendarDate): MealPromise[] {
  const meals = promised.filter(({ on }) => on >= today);
  const day = answer?.what === 'plan' ? (answer.day ?? answer.until) : null;
  return day !== null && day > today && meals.length === 0
    ? [{ meal: '', name: '', on: day, amount }]
    : meals;
}

/** How much of a package nobody was promised. */
export function freeAmount(found: Promised, today: CalendarDate): number {
  const taken = promisesOf(found, today).reduce((sum, { amount }) => sum + amount, 0);
  return Math.max(0, found.amount - taken);
}

/** Promises that a package can still keep after some of it went: the earliest meal first. */
export function keptPromises(promised: readonly MealPromise[], amount: number): MealPromise[] {
  let left = amount;
  return [...promised]
    .sort((a, b) => (a.on < b.on ? -1 : 1))
    .flatMap((one) => {
      const kept = Math.min(left, one.amount);
      left -= kept;
      return kept > 0 ? [{ ...one, amount: kept }] : [];
    });
}
