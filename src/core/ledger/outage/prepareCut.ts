import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import type { CutPlan } from '../../model/cut';
import { keptDecided } from '../settings/keptDecided';

/** When a storm is expected, and what of the checklist is done; `null` in both: the plan is dropped. */
export const prepareCutCommand: CommandKind<CutPlan> = {
  type: 'cut.prepare',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['cut-plan'] }),
  decide: ({ expected, ticked }, world) => {
    const before = world.kept('cut-plan', '');
    const value = expected === null && ticked.length === 0 ? null : { expected, ticked };
    const says =
      before?.expected !== expected
        ? expected === null
          ? 'No storm is expected any more.'
          : 'A storm is expected; the countdown runs.'
        : `${ticked.length} things are prepared for a power cut.`;
    return keptDecided(world, 'cut-plan', '', value, says);
  },
};
