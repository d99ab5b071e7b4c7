import { checkWish, sayWished } from '../../foods/wish';
import { NO_WISH, WISHES, type Wish } from '../../model/wish';
import type { Decision } from '../../model/decision';
import { redatePackages } from '../package/redatePackages';
import type { Setting } from '../../model/setting';
import { withSetting } from '../settings/withSetting';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** What a wish changes, in words. */
function sayWish(name: string, wish: Wish): string {
  const told = WISHES.flatMap((key) => {
    const figure = wish[key];
    return figure === null ? [] : [sayWished(key, figure)];
  });
  return told.length === 0
    ? `${name}: back to the reference.`
    : `${name}: your household wishes ${told.join(', ')}.`;
}

/**
 * Sets the household's wish for a food and dates its packages anew.
 *
 * @throws Refusal `wish` when it would loosen safety
 */
function wishFood(command: { food: string; wish: Wish }, world: World): Decision {
  const { food } = world.referenceFood(command.food);
  checkWish(food, command.wish);
  const before = world.wish(food.id);
  const after: Setting = { kind: 'wish', subject: food.id, value: command.wish };
  const none = WISHES.every((key) => before[key] === NO_WISH[key]);
  return {
    lots: [],
    events: redatePackages(world.loaded(), withSetting(world, after)),
    settings: [
      {
        type: 'food.wished',
        before: none ? null : { kind: 'wish', subject: food.id, value: before },
        after,
        says: sayWish(food.name, command.wish),
      },
    ],
  };
}

export const wishFoodCommand: CommandKind<{ food: string; wish: Wish }> = {
  type: 'food.wish',
  needs: ({ food }) => ({ foods: [food] }),
  decide: wishFood,
};
