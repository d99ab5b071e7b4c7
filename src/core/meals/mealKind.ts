import type { Food } from '../model/food';
import type { DayHabit, Diet } from '../model/meal';
import kinds from './mealKinds.json';

/** What of a food bears on meals. */
export type MealFood = Pick<Food, 'id' | 'group' | 'dietTags' | 'copyOf'>;

/** A food that a meal is made of. */
export const isMain = ({ id, copyOf, group }: MealFood): boolean =>
  kinds.mains.includes(group) && !kinds.notMains.includes(copyOf ?? id);

/** A food that goes beside it. */
export const isSide = ({ id, copyOf, group }: MealFood): boolean =>
  kinds.sides.includes(group) && !kinds.notSides.includes(copyOf ?? id);

export const hasMeat = ({ dietTags }: MealFood): boolean =>
  dietTags.some((tag) => kinds.meatTags.includes(tag));
const hasFish = ({ dietTags }: MealFood): boolean => dietTags.some((tag) => kinds.fishTags.includes(tag));
export const hasDairy = ({ dietTags }: MealFood): boolean => dietTags.includes('dairy');

/** True for what somebody eats who eats so. */
export function suits(food: MealFood, diet: Diet): boolean {
  switch (diet) {
    case 'everything':
      return true;
    case 'no-meat':
      return !hasMeat(food);
    case 'no-meat-or-fish':
      return !hasMeat(food) && !hasFish(food);
    case 'soft':
      return kinds.soft.includes(food.group);
  }
}

/** True for what a day's habit asks for. */
export function fitsHabit(food: MealFood, habit: DayHabit): boolean {
  switch (habit) {
    case 'fish':
      return hasFish(food);
    case 'quick':
      return kinds.quick.includes(food.group);
    case 'no-meat':
      return !hasMeat(food);
  }
}
