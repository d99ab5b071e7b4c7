import type { Cut } from '../../model/cut';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';

/** A cut that is kept. @throws Refusal `cut` */
export function cutOf(world: Pick<World, 'kept'>, id: string): Cut {
  const cut = world.kept('cut', id);
  if (!cut) throw new Refusal('cut', 'There is no such power cut here any more.');
  return cut;
}
