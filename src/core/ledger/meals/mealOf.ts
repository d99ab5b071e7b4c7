import { type Meal, type MealRhythm, type MealSlot, usualRhythm } from '../../model/meal';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';

/** A meal that is kept and not over. @throws Refusal `meal` */
export function mealOf(world: World, id: string): Meal {
  const meal = world.kept('meal', id);
  if (!meal) throw new Refusal('meal', 'There is no such meal.');
  if (meal.state === 'eaten') throw new Refusal('meal', `${meal.name} was eaten already; undo that first.`);
  return meal;
}

export const rhythmOf = (world: World): MealRhythm =>
  world.kept('rhythm', '') ?? usualRhythm(world.settings.people);

/** The time of day of a meal. @throws Refusal `meal` for one the household does not have */
export function slotOf(world: World, id: string): MealSlot {
  const slot = rhythmOf(world).slots.find((one) => one.id === id);
  if (!slot) throw new Refusal('meal', 'This household does not eat at that time.');
  return slot;
}
