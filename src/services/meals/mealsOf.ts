import { instantInZone } from '@/core/calendar/instantInZone';
import { type Meal, type MealRhythm, type MealSlot, usualRhythm } from '@/core/model/meal';
import { sql } from '@/store/database';
import type { Household } from '@/store/households';
import { readKept } from '@/store/kept';
import { keptSince } from '../household/kept';

/** What a household planned to eat, and how it eats. */
export interface PlannedMeals {
  rhythm: MealRhythm;
  /** In order of time. */
  meals: Meal[];
  /** When a meal is on the plate, ISO 8601 UTC. */
  atOf(meal: Pick<Meal, 'on' | 'slot'>): string;
  slotOf(meal: Pick<Meal, 'slot'>): MealSlot | undefined;
}

/** Reads a household's meals: the small table of what it keeps. */
export async function readMeals(household: Household): Promise<PlannedMeals> {
  const kept = await keptSince(household, 'meals', () => readKept(sql(), household.id, ['meal', 'rhythm']));
  const rhythm = kept.rhythm.get('') ?? usualRhythm(household.settings.people);
  const slotOf = ({ slot }: Pick<Meal, 'slot'>): MealSlot | undefined =>
    rhythm.slots.find(({ id }) => id === slot);
  const atOf = (meal: Pick<Meal, 'on' | 'slot'>): string =>
    instantInZone(meal.on, slotOf(meal)?.at ?? '18:30', household.timeZone);
  const meals = [...kept.meal.values()].sort((a, b) => (atOf(a) < atOf(b) ? -1 : 1));
  return { rhythm, meals, atOf, slotOf };
}
