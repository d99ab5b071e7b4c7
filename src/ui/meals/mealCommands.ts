import type { NewCommand } from '../door/doorClient';
import type { MealView } from '@/services/meals/week';

/** What of a meal's takes is still here, and no more than there is. */
export const here = ({ takes }: MealView): MealView['takes'] =>
  takes.flatMap((take) => (take.view ? [{ ...take, amount: Math.min(take.amount, take.view.amount) }] : []));

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
    takes: takes ?? here(meal).map((take) => ({ package: take.package, amount: take.amount })),
    buys: buys ?? meal.buys.map(({ called }) => called),
  };
}
