import { wasSet, type Decision } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** Takes a food of the household's own off the list; packages of it keep their dates. @throws Refusal for the reference */
function retireFood(command: { food: string }, world: World): Decision {
  const { food, own, retired } = world.referenceFood(command.food);
  if (!own)
    throw new Refusal('food', `${food.name} is a food of the reference; wish for other figures instead.`);
  if (retired) throw new Refusal('food', `${food.name} is off the list already.`);
  const used = world.loaded().length;
  const kept = used === 0 ? '' : ` ${used} ${used === 1 ? 'package' : 'packages'} of it keep their dates.`;
  return wasSet({
    type: 'food.retired',
    before: { kind: 'food', subject: food.id, value: { food, retired: false } },
    after: { kind: 'food', subject: food.id, value: { food, retired: true } },
    says: `${food.name} is off the list.${kept}`,
  });
}

export const retireFoodCommand: CommandKind<{ food: string }> = {
  type: 'food.retire',
  needs: ({ food }) => ({ foods: [food] }),
  decide: retireFood,
};
