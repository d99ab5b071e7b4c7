import type { Food } from '../model/food';

const ANIMAL = ['meat', 'fish', 'shellfish'];

/** True when a household's word ("dairy", "raw", "vegetarian", "leftovers") is said of a food. */
export function isCalled(food: Food, word: string): boolean {
  const raw = food.readiness === 'raw-animal';
  const tag = word.trim().toLowerCase();
  switch (tag) {
    case 'raw':
      return raw;
    case 'vegetarian':
      return !food.dietTags.some((own) => ANIMAL.includes(own)) && !raw;
    case 'vegan':
    case 'plant-only':
      return (
        food.dietTags.includes('plant') &&
        !food.dietTags.some((own) => [...ANIMAL, 'dairy', 'egg'].includes(own))
      );
    default:
      return (
        food.dietTags.includes(tag) ||
        food.group === tag ||
        food.id === tag ||
        food.readiness === tag ||
        food.outageClass === tag
      );
  }
}
