import type { CommandKind } from '../../model/command';
import type { RoundRhythm } from '../../model/round';
import { keptDecided } from '../settings/keptDecided';

/** How often a household looks through its fridges and freezers. */
export const setRoundRhythmCommand: CommandKind<{ rhythm: RoundRhythm }> = {
  type: 'round.rhythm',
  needs: () => ({ kept: ['round-rhythm'] }),
  decide: ({ rhythm }, world) => {
    const none = rhythm.fridge === null && rhythm.freezer === null;
    return keptDecided(world, 'round-rhythm', '', none ? null : rhythm, 'How often to look is set.');
  },
};
