import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { minutesBetween } from '../../keeping/counterMinutes';
import { keptDecided } from '../settings/keptDecided';
import { roundOf } from './roundOf';

/** A round is over: what was not looked at stays due. @throws Refusal `round` */
export const endRoundCommand: CommandKind<{ round: string }> = {
  type: 'round.end',
  may: HOUSEHOLD_MAY,
  needs: ({ round }) => ({ keptUnder: { round: [round] } }),
  decide: ({ round: id }, world) => {
    const round = roundOf(world, id);
    const walked = round.zones.filter(({ step }) => step === 'walked').length;
    const says = `Round over: ${walked} of ${round.zones.length} zones in ${minutesBetween(round.begun, world.at)} min.`;
    return keptDecided(world, 'round', id, { ...round, ended: world.at }, says);
  },
};
