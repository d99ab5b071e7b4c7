import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { Refusal } from '../../model/refusal';
import { keptDecided } from '../settings/keptDecided';

/** Takes a printed sheet off the door. @throws Refusal `sheet` when it is none */
export const dropSheetCommand: CommandKind<{ code: string }> = {
  type: 'sheet.drop',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['sheet'] }),
  decide: ({ code }, world) => {
    const before = world.kept('sheet', code);
    if (!before) throw new Refusal('sheet', `There is no door sheet ${code}.`);
    return keptDecided(world, 'sheet', code, null, `Door sheet ${code} of ${before.called} is off the door.`);
  },
};
