import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { minutesBetween } from '../../keeping/counterMinutes';
import { Refusal } from '../../model/refusal';
import { keptDecided } from '../settings/keptDecided';

/** The zones were wiped, or the reset is over; what is still out stays on the counter with its clock. @throws Refusal `reset` */
export const stepResetCommand: CommandKind<{ reset: string; step: 'wiped' | 'ended' }> = {
  type: 'reset.step',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['reset'] }),
  decide: ({ reset: id, step }, world) => {
    const reset = world.kept('reset', id);
    if (!reset || reset.ended !== null) throw new Refusal('reset', 'That reset is over, or not known here.');
    if (step === 'wiped')
      return keptDecided(world, 'reset', id, { ...reset, wiped: true }, `${reset.called} wiped.`);
    const minutes = minutesBetween(reset.begun, world.at);
    return keptDecided(
      world,
      'reset',
      id,
      { ...reset, ended: world.at },
      `Reset of ${reset.called} over after ${minutes} min.`,
    );
  },
};
