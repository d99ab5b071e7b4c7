import type { Food } from '../model/food';
import type { Goal } from '../model/haul';

/** Where a food goes when nobody says. */
export function usualGoal(food: Food, packs: number): Goal {
  if (food.home === 'freezer') return 'freezer';
  if (!food.controlled && (food.home === 'counter' || food.home === 'cupboard')) return 'room';
  // Fresh fruit split into boxes is for the week; whoever freezes it says so.
  if (food.group === 'fruit') return 'fridge';
  return packs > 1 && (food.freezeFit === 'good' || food.freezeFit === 'fair') ? 'freezer' : 'fridge';
}
