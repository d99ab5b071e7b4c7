import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { Refusal } from '../../model/refusal';
import { keptDecided } from '../settings/keptDecided';

interface Beginning {
  /** Its own id. */
  round: string;
  /** In the order of doors. */
  zones: string[];
}

/** Begins a round along zones; everybody walks the same one. @throws Refusal `round` when one is open */
export const beginRoundCommand: CommandKind<Beginning> = {
  type: 'round.begin',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['round'] }),
  decide: ({ round: id, zones }, world) => {
    if (world.keptAll('round').some(({ ended }) => ended === null))
      throw new Refusal('round', 'A round is being walked already: go on with it.');
    const steps = zones.map((zone) => ({ zone, name: world.zone(zone).name, step: 'open' as const }));
    const round = { id, begun: world.at, ended: null, zones: steps };
    const says =
      steps.length === 1 ? `Round begun: ${steps[0]?.name}.` : `Round begun along ${steps.length} zones.`;
    return keptDecided(world, 'round', id, round, says);
  },
};
