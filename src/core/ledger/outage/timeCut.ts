import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { cutDecided } from './cutDecided';
import { cutOf } from './cutOf';

interface Times {
  cut: string;
  from: string;
  /** `null`: it lasts. */
  until: string | null;
}

/** When the power went and came back, put right at any time until the desk is put away. */
export const timeCutCommand: CommandKind<Times> = {
  type: 'cut.time',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['cut'] }),
  decide: ({ cut: id, from, until }, world) => {
    const before = cutOf(world, id);
    const says =
      until === null
        ? 'The power is still off; its times were put right.'
        : before.until === null
          ? 'The power is back.'
          : 'The times of the power cut were put right.';
    return cutDecided(world, { ...before, from, until, closedAt: null }, says);
  },
};
