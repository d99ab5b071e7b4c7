import { foodKey } from '../../foods/foodKey';
import { checkWish, NO_WISH, sayWished, type Wish, WISHES, wishedFood } from '../../foods/wish';
import { Refusal } from '../../refusal';
import type { Decision } from '../decide';
import { redatePackages } from '../package/redatePackages';
import type { Setting } from '../../model/setting';
import { withSetting } from '../settings/withSetting';
import type { World } from '../../model/world';

/**
 * Adds a food of the household's own by copying a near one: its figures, then the household's wishes on top, which may be
 * stricter, never looser for safety.
 *
 * @throws Refusal `food` when the name is taken, `wish` when a figure would loosen safety
 */
export function addFood(
  command: { copy: string; name: string; aliases: string[]; note: string; wish: Wish },
  world: World,
): Decision {
  const { food: near } = world.referenceFood(command.copy);
  for (const name of [command.name, ...command.aliases]) {
    const other = world.foodCalled(name);
    if (other) throw new Refusal('food', `“${name}” already names ${other.name}.`);
  }
  const { wished: _told, ...figures } = wishedFood(near, command.wish);
  const id = `own-${foodKey(command.name)
    .replaceAll(/[^a-z0-9]+/g, '-')
    .slice(0, 24)}-${world.newId().slice(0, 8)}`;
  const food = {
    ...figures,
    id,
    name: command.name,
    aliases: command.aliases,
    note: command.note,
    copyOf: near.copyOf ?? near.id,
    source: `${near.source}; copied from ${near.name}`,
  };
  return {
    lots: [],
    events: [],
    settings: [
      {
        type: 'food.added',
        before: null,
        after: { kind: 'food', subject: id, value: { food, retired: false } },
        says: `${command.name} is a food of your own now, after ${near.name}.`,
      },
    ],
  };
}

/** Takes a food of the household's own off the list; packages of it keep their dates. @throws Refusal for the reference */
export function retireFood(command: { food: string }, world: World): Decision {
  const { food, own, retired } = world.referenceFood(command.food);
  if (!own)
    throw new Refusal('food', `${food.name} is a food of the reference; wish for other figures instead.`);
  if (retired) throw new Refusal('food', `${food.name} is off the list already.`);
  const used = world.loaded().length;
  const kept = used === 0 ? '' : ` ${used} ${used === 1 ? 'package' : 'packages'} of it keep their dates.`;
  return {
    lots: [],
    events: [],
    settings: [
      {
        type: 'food.retired',
        before: { kind: 'food', subject: food.id, value: { food, retired: false } },
        after: { kind: 'food', subject: food.id, value: { food, retired: true } },
        says: `${food.name} is off the list.${kept}`,
      },
    ],
  };
}

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
export function wishFood(command: { food: string; wish: Wish }, world: World): Decision {
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
