import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { Refusal } from '../../model/refusal';
import type { ZoneStep } from '../../model/round';
import { keptDecided } from '../settings/keptDecided';
import { roundOf } from './roundOf';

const STEP_WORDS: Readonly<Record<ZoneStep, string>> = {
  open: 'to be looked at again',
  walked: 'looked through',
  skipped: 'skipped; it stays due',
};

interface Walking {
  round: string;
  zone: string;
  step: ZoneStep;
}

/** A zone of a round was looked through, or skipped. @throws Refusal `round` */
export const walkZoneCommand: CommandKind<Walking> = {
  type: 'round.zone',
  may: HOUSEHOLD_MAY,
  needs: ({ round }) => ({ keptUnder: { round: [round] } }),
  decide: ({ round: id, zone, step }, world) => {
    const round = roundOf(world, id);
    const here = round.zones.find((one) => one.zone === zone);
    if (!here) throw new Refusal('round', 'That zone is not in this round.');
    const zones = round.zones.map((one) => (one.zone === zone ? { ...one, step } : one));
    return keptDecided(world, 'round', id, { ...round, zones }, `${here.name} ${STEP_WORDS[step]}.`);
  },
};
