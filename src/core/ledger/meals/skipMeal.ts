import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { keptDecided } from '../settings/keptDecided';
import { mealOf } from './mealOf';
import { giveBack } from './promisesTo';
import { dropBuys } from './setMeal';

/**
 * A meal is not eaten: what it was promised is everybody's again, what was only wanted for it comes off the shopping list. With
 * `forget` it leaves the week.
 *
 * @throws Refusal `meal` for one that was eaten
 */
export const skipMealCommand: CommandKind<{ meal: string; forget: boolean }> = {
  type: 'meal.skip',
  may: HOUSEHOLD_MAY,
  needs: ({ meal }) => ({ kept: ['meal', 'shopping'], packagesOfMeal: meal }),
  decide: ({ meal: id, forget }, world) => {
    const meal = mealOf(world, id);
    const gaveBack = meal.takes.map((take) => take.package);
    const after = forget ? null : { ...meal, state: 'skipped' as const, takes: [], buys: [], gaveBack };
    const settings = [
      keptDecided(world, 'meal', id, after, `${meal.name} ${forget ? 'taken off the week' : 'skipped'}.`),
      ...dropBuys(meal.buys, world),
    ];
    return {
      lots: [],
      events: meal.takes.flatMap((take) => giveBack(world.package(take.package), meal)),
      settings: settings.flatMap((one) => one.settings),
    };
  },
};
