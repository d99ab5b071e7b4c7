import { HOUSEHOLD_MAY } from '../../model/role';
import { wasSet, type Decision } from '../../model/decision';
import { foodKey } from '../../foods/foodKey';
import { wishedFood } from '../../foods/wish';
import type { Wish } from '../../model/wish';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** A food of one's own, by the near one it is copied from. */
interface NewFood {
  copy: string;
  name: string;
  aliases: string[];
  note: string;
  wish: Wish;
}

/**
 * Adds a food of the household's own by copying a near one: its figures, then the household's wishes on top, which may be
 * stricter, never looser for safety.
 *
 * @throws Refusal `food` when the name is taken, `wish` when a figure would loosen safety
 */
function addFood(command: NewFood, world: World): Decision {
  const { food: near } = world.referenceFood(command.copy);
  for (const name of [command.name, ...command.aliases]) {
    const other = world.foodCalled(name);
    if (other) throw new Refusal('food', `“${name}” already names ${other.name}.`);
  }
  const { wished: _told, ...figures } = wishedFood(near, command.wish);
  const id = `own-${foodKey(command.name)
    .replaceAll(/[^a-z0-9]+/g, '-')
    .slice(0, 24)}-${world.newId().replaceAll('-', '')}`;
  const food = {
    ...figures,
    id,
    name: command.name,
    aliases: command.aliases,
    note: command.note,
    copyOf: near.copyOf ?? near.id,
    source: `${near.source}; copied from ${near.name}`,
  };
  return wasSet({
    type: 'food.added',
    before: null,
    after: { kind: 'food', subject: id, value: { food, retired: false } },
    says: `${command.name} is a food of your own now, after ${near.name}.`,
  });
}

export const addFoodCommand: CommandKind<NewFood> = {
  type: 'food.add',
  may: HOUSEHOLD_MAY,
  needs: () => ({}),
  decide: addFood,
};
