import Joi from 'joi';
import { isNotFor } from '@/core/foods/forWhom';
import { needsCooking } from '@/core/foods/needsCooking';
import { canSplit } from '@/core/firstout/allocate';
import { firstOutKey } from '@/core/firstout/firstOutKey';
import { freeAmount } from '@/core/firstout/promised';
import { asEdible } from '@/core/keeping/mayEat';
import { isHandsOff } from '@/core/ledger/package/kept';
import { greedyWeek } from '@/core/meals/greedyWeek';
import { isMain, isSide } from '@/core/meals/mealKind';
import { type Route, routesFor } from '@/core/meals/routesFor';
import { type SuggestedMeal, sayWeek } from '@/core/meals/suggestion';
import { type OpenMeal, savedGrams, type WeekCase, type WeekPack } from '@/core/meals/weekRules';
import type { Eater } from '@/core/model/meal';
import type { Package } from '@/core/model/package';
import { addDays, weekdayOf } from '@/core/calendar/calendarDate';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readFirstOut } from '@/store/packages';
import { heavy } from '../calculators/heavy';
import { type HouseholdContext, viewContext } from '../household/context';
import { inTurns } from '../door/inTurns';
import { dateSchema, plainText, validate } from '../door/validate';
import { readMeals } from './mealsOf';
import { rememberedThawHours } from './rememberedThawHours';

export const suggestSchema = Joi.object({
  from: dateSchema.description('first day; today when left out'),
  without: Joi.array()
    .items(plainText(80).min(1))
    .max(100)
    .default([])
    .description('names of foods that are not wanted this week'),
});

/** A week as it might be eaten. */
export interface WeekSuggestion {
  meals: (Omit<SuggestedMeal, 'takes'> & {
    on: string;
    slot: string;
    eaters: string[];
    takes: (SuggestedMeal['takes'][number] & { amount_words: string })[];
  })[];
  /** Grams that would not last the week and are used, and as a hurried cook would. */
  saved_g: number;
  plainly_g: number;
  /** What would not last the week and has no place in it, with ways for it. */
  left: { code: string; called: string; amount_words: string; on: string }[];
  routes: (Route & { fits: number })[];
}

const MOST_PACKAGES = 20_000;
const MOST_PACKS = 400;
const MOST_KEEPING = 4;
const PIECE_G = 60;
const DAYS = 7;

/** A package as a week is made from it; `null`: no meal is. */
function toPack(found: Package, { household, reference, today, mayEat }: HouseholdContext): WeekPack | null {
  const food = reference.byId.get(found.foodId);
  const free = freeAmount(found, today);
  if (!food || free <= 0 || mayEat(asEdible(found)).may !== 'eat' || isHandsOff(found, today)) return null;
  // Nobody is suggested what is not for somebody at the table (K14).
  const risks = Object.values(household.settings.marks).flat();
  if (isNotFor(food, risks, needsCooking(food))) return null;
  if (found.governingDate < today || found.zoneId === null || !(isMain(food) || isSide(food))) return null;
  return {
    ...{ id: found.id, code: found.code, called: found.called, food, amount: free },
    grams: found.unit === 'pc' ? free * PIECE_G : free,
    governingDate: found.governingDate,
    firstOut: firstOutKey(found),
    splits: canSplit({ ...found, cuts: ['leftovers', 'soup-sauce', 'cooked-meat'].includes(food.group) }),
    thawHours: found.state === 'frozen' ? rememberedThawHours(found, food).fridge : 0,
  };
}

/** Suggests the meals that nobody planned yet: the week that uses the most before its date, as this household eats. @throws Problem */
export async function suggestWeek(body: unknown): Promise<WeekSuggestion> {
  const { from, without } = validate<{ from?: string; without: string[] }>(suggestSchema, body);
  const context = await viewContext();
  const { household, today, at } = context;
  const { rhythm, meals, atOf } = await readMeals(household);
  const first = from ?? today;
  const eaters = (names: readonly string[]): Eater[] =>
    rhythm.eaters.filter(({ name }) => names.length === 0 || names.includes(name));
  const open = Array.from({ length: DAYS }, (_, day) => addDays(first, day)).flatMap((on) =>
    rhythm.slots.flatMap((slot): (OpenMeal & { slot: string })[] => {
      const taken = meals.some((meal) => meal.on === on && meal.slot === slot.id && meal.state !== 'skipped');
      const mealAt = atOf({ on, slot: slot.id });
      if (taken || mealAt <= at) return [];
      const habit = rhythm.habits.find((one) => one.slot === slot.id && one.weekday === weekdayOf(on));
      return [
        {
          key: `${on} ${slot.id}`,
          on,
          at: mealAt,
          slot: slot.id,
          eaters: eaters([]),
          habit: habit?.what ?? null,
        },
      ];
    }),
  );
  const stock = await readFirstOut(sql(), household.id, MOST_PACKAGES);
  const unwanted = new Set(without.map((name) => name.toLowerCase()));
  const end = open.at(-1)?.on ?? today;
  const keeping = new Map<string, number>();
  // What passes its date this week, and of each food the next few that keep: more of them change nothing.
  const chosen = stock.filter(({ called, foodId, governingDate }) => {
    if (unwanted.has(called.toLowerCase())) return false;
    if (governingDate <= end) return true;
    keeping.set(foodId, (keeping.get(foodId) ?? 0) + 1);
    return (keeping.get(foodId) ?? 0) <= MOST_KEEPING;
  });
  const packs: WeekPack[] = [];
  // How long one thaws is worked out the first time it is asked.
  await inTurns(chosen, (found) => {
    const pack = packs.length < MOST_PACKS ? toPack(found, context) : null;
    if (pack) packs.push(pack);
  });
  const kase: WeekCase = { packs, meals: open, apart: rhythm.apart, now: at };
  const uses = open.length === 0 || packs.length === 0 ? [] : await heavy('solvedWeek', kase);
  const units = new Map(stock.map(({ id, unit }) => [id, unit]));
  const bySlot = new Map(open.map((meal) => [meal.key, meal]));
  const used = new Set(uses.map(({ pack }) => pack));
  const left = packs.filter(({ governingDate }, pack) => governingDate <= end && !used.has(pack));
  const groups = left.map(({ food }) => food.group);
  return {
    meals: sayWeek(kase, uses, today).flatMap((meal) => {
      const its = bySlot.get(meal.key);
      if (!its) return [];
      const takes = meal.takes.map((take) => ({
        ...take,
        amount_words: sayAmount(take.amount, units.get(take.package) ?? 'g'),
      }));
      return [{ ...meal, takes, on: its.on, slot: its.slot, eaters: its.eaters.map(({ name }) => name) }];
    }),
    saved_g: Math.round(savedGrams(kase, uses)),
    plainly_g: Math.round(savedGrams(kase, greedyWeek(kase))),
    left: left.slice(0, 40).map(({ id, code, called, amount, governingDate }) => ({
      ...{ code, called, on: governingDate },
      amount_words: sayAmount(amount, units.get(id) ?? 'g'),
    })),
    routes: routesFor(groups),
  };
}
