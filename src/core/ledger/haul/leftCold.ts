import type { Haul } from '../../model/haul';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';

/** In a closed cold bag with ice it counts as cold until the bag is opened at the bench. */
export const outSinceOf = ({ coldBag, begunAt, leftAt }: Omit<Haul, 'outSince'>): string =>
  coldBag ? begunAt : leftAt;

const MOST_DAYS = 7;

/** Clocks of phones run a little ahead. */
const AHEAD_MS = 5 * 60_000;

/** An instant that a clock running a little ahead has put after now, taken for now; any other as it is. */
export function notAhead(leftAt: string, { at, now }: Pick<World, 'at' | 'now'>): string {
  const latest = at > now ? at : now;
  const ahead = Date.parse(leftAt) - Date.parse(latest);
  return ahead > 0 && ahead <= AHEAD_MS ? latest : leftAt;
}

/** When a haul, or a line of it, left the cold: not after now, and not so long ago that it is no haul. @throws Refusal `haul` */
export function checkLeft(leftAt: string, world: Pick<World, 'at' | 'now'>): void {
  const at = Date.parse(leftAt);
  if (at > Date.parse(world.at) && at > Date.parse(world.now)) {
    throw new Refusal('haul', 'It cannot have left the cold after now.');
  }
  if (at < Date.parse(world.at) - MOST_DAYS * 86_400_000) {
    throw new Refusal('haul', `It cannot have been out of the cold for more than ${MOST_DAYS} days.`);
  }
}
