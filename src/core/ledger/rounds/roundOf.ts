import { Refusal } from '../../model/refusal';
import type { Round } from '../../model/round';
import type { World } from '../../model/world';

/** A round that is being walked. @throws Refusal `round` when there is none with this id, or it is over */
export function roundOf(world: World, id: string): Round {
  const round = world.kept('round', id);
  if (!round) throw new Refusal('round', 'That round is not known here. Begin one.');
  if (round.ended !== null) throw new Refusal('round', 'That round is over. Begin another.');
  return round;
}
