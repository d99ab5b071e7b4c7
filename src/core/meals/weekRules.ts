import type { CalendarDate } from '../calendar/calendarDate';
import type { DayHabit, Eater } from '../model/meal';
import { portionGrams } from '../portions/portionGrams';
import { fitsHabit, hasDairy, hasMeat, isMain, isSide, type MealFood, suits } from './mealKind';

/** A package that a week may be made from. */
export interface WeekPack {
  id: string;
  code: string;
  called: string;
  food: MealFood;
  /** What of it is free, in its own unit, and as grams. */
  amount: number;
  grams: number;
  governingDate: CalendarDate;
  /** Sorts in first-out order. */
  firstOut: string;
  /** A part may be taken, the rest goes on. */
  splits: boolean;
  /** Cautious hours until it is thawed; 0: it is not frozen. */
  thawHours: number;
}

/** A meal that nothing is planned for. */
export interface OpenMeal {
  key: string;
  on: CalendarDate;
  /** On the plate, ISO 8601 UTC. */
  at: string;
  eaters: readonly Eater[];
  habit: DayHabit | null;
}

/** What a week is made from: packages in first-out order and meals in order of time. */
export interface WeekCase {
  packs: readonly WeekPack[];
  meals: readonly OpenMeal[];
  /** No meat and dairy in one meal. */
  apart: boolean;
  now: string;
}

/** What one meal takes of one package, g. */
export interface WeekUse {
  meal: number;
  pack: number;
  grams: number;
}

const HOUR_MS = 3_600_000;
/** It lies ready so long before the plate. */
const COOKING_H = 1;
/** A meal is made from about what is eaten; a whole pack may be more. */
export const LEAST_SHARE = 0.7;
const MOST_SHARE = 1.4;
const MOST_WHOLE_SHARE = 2;
export const MOST_SIDES = 2;
/** The same main no more often in one week. */
export const MOST_OFTEN = 3;

/** What those who eat need of a food, g. */
export const needOf = ({ eaters }: OpenMeal, food: MealFood): number =>
  eaters.reduce((sum, { appetite }) => sum + portionGrams(food.group, appetite, 'main'), 0);

/** The most of a food that one meal takes, g: a whole pack may be more than is eaten, what is over is put by. */
export function mostOf(meal: OpenMeal, packs: readonly WeekPack[]): number {
  const [first] = packs;
  if (!first) return 0;
  const need = needOf(meal, first.food);
  const whole = Math.min(...packs.map(({ grams, splits }) => (splits ? 0 : grams)));
  return Math.max(MOST_SHARE * need, whole <= MOST_WHOLE_SHARE * need ? whole : 0);
}

/** A package may be eaten at a meal: not after its date, thawed in time, and as everybody there eats. */
export function mayEat(pack: WeekPack, meal: OpenMeal, { now, apart }: WeekCase): boolean {
  const hours = (Date.parse(meal.at) - Date.parse(now)) / HOUR_MS - COOKING_H;
  return (
    meal.on <= pack.governingDate &&
    (pack.thawHours === 0 || pack.thawHours <= hours) &&
    (isMain(pack.food) || isSide(pack.food)) &&
    meal.eaters.every(({ diet }) => suits(pack.food, diet)) &&
    !(apart && hasMeat(pack.food) && hasDairy(pack.food))
  );
}

/** Mains that a meal's habit asks for, where there is anything of the kind; else all. */
export function mainsOf(kase: WeekCase, meal: OpenMeal): ReadonlySet<string> {
  const may = kase.packs.filter((pack) => isMain(pack.food) && mayEat(pack, meal, kase));
  const { habit } = meal;
  const asked = habit === null ? [] : may.filter(({ food }) => fitsHabit(food, habit));
  return new Set((asked.length > 0 ? asked : may).map(({ food }) => food.id));
}

/** Meat and dairy that must not meet, as a main and what goes beside it. */
export const clash = (a: MealFood, b: MealFood, apart: boolean): boolean =>
  apart && ((hasMeat(a) && hasDairy(b)) || (hasDairy(a) && hasMeat(b)));

/** What passes its date this week counts whole, what keeps counts a little: a meal is better than none. */
const KEEPS = 0.05;
/** The sooner, the safer. */
const SOONER = 0.002;

/** What a gram of a package is worth at a meal. */
export const worthAt = ({ meals }: WeekCase, pack: WeekPack, meal: number): number =>
  (pack.governingDate <= (meals.at(-1)?.on ?? '') ? 1 : KEEPS) * (1 - SOONER * meal);

/** What a week is worth: what the solver makes most of. */
export const worthOfWeek = (kase: WeekCase, uses: readonly WeekUse[]): number =>
  uses.reduce((sum, { meal, pack, grams }) => {
    const its = kase.packs[pack];
    return its ? sum + grams * worthAt(kase, its, meal) : sum;
  }, 0);

/** What would pass its date within the week if nobody ate it, g of what is used of it. */
export function savedGrams({ packs, meals }: WeekCase, uses: readonly WeekUse[]): number {
  const last = meals.at(-1)?.on ?? '';
  return uses.reduce(
    (sum, { pack, grams }) => sum + ((packs[pack]?.governingDate ?? '9') <= last ? grams : 0),
    0,
  );
}

/** Indexes of packages by food, in first-out order. */
export function byFood(packs: readonly WeekPack[]): Map<string, number[]> {
  const foods = new Map<string, number[]>();
  packs.forEach(({ food }, at) => foods.set(food.id, [...(foods.get(food.id) ?? []), at]));
  return foods;
}
