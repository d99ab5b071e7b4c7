import type { NewCommand } from '../door/doorClient';
import type { MealView } from '@/services/meals/week';

/** A meal as it is told to the door, with what changes. */
export function mealCommand(
  meal: MealView,
  change: Partial<Pick<MealView, 'on' | 'slot' | 'name' | 'eaters'>> & {
    takes?: { package: string; amount: number }[];
    buys?: string[];
  } = {},
): NewCommand {
  const { takes, buys, ...told } = change;
  return {
    type: 'meal.set',
    meal: meal.id,
    ...{ on: meal.on, slot: meal.slot, name: meal.name, eaters: meal.eaters, pinned: true, ...told },
    takes: takes ?? meal.takes.map((take) => ({ package: take.package, amount: take.amount })),
    buys: buys ?? meal.buys.map(({ called }) => called),
  };
}
