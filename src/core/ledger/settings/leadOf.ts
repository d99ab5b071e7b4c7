import type { LeadDays } from '../../model/answer';
import type { World } from '../../model/world';

/** Days ahead that a food's packages are told of: its own wish, else the household's. */
export function leadOf(world: Pick<World, 'wish' | 'settings'>, foodId: string): LeadDays {
  const own = world.wish(foodId).leadDays;
  return { chilled: own ?? world.settings.leadChilled, frozen: own ?? world.settings.leadFrozen };
}
