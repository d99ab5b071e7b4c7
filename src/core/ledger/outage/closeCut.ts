import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { Refusal } from '../../model/refusal';
import { cutDecided } from './cutDecided';
import { cutOf } from './cutOf';

/** The desk is put away: what is kept stays in the history. @throws Refusal `cut` while the power is off */
export const closeCutCommand: CommandKind<{ cut: string }> = {
  type: 'cut.close',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['cut'] }),
  decide: ({ cut: id }, world) => {
    const cut = cutOf(world, id);
    if (cut.until === null) throw new Refusal('cut', 'The power is still off. Say first when it came back.');
    return cutDecided(world, { ...cut, closedAt: world.at }, 'The outage desk was put away.');
  },
};
