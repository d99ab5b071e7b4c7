import type { CommandKind } from '../../model/command';
import { Refusal } from '../../model/refusal';
import { HOUSEHOLD_MAY } from '../../model/role';
import { keptDecided } from '../settings/keptDecided';

/** Whoever looked at the rest of a lot is not asked again. @throws Refusal `lot` when nothing asks */
export const lookedAtLotCommand: CommandKind<{ lot: string }> = {
  type: 'lot.looked',
  may: HOUSEHOLD_MAY,
  needs: ({ lot }) => ({ keptUnder: { 'lot-look': [lot] } }),
  decide: ({ lot }, world) => {
    const before = world.kept('lot-look', lot);
    if (!before) throw new Refusal('lot', 'Nothing asks about that lot.');
    return keptDecided(
      world,
      'lot-look',
      lot,
      null,
      `What came in with ${before.called} ${before.code} was looked at.`,
    );
  },
};
