import { HOUSEHOLD_MAY } from '../../model/role';
import type { Decision } from '../../model/decision';
import type { World } from '../../model/world';
import { decided } from './jobDecided';
import type { CommandKind } from '../../model/command';

/** A round walked or upkeep done today; what is judged by its frost has none then, unless some was left, mm. One with a day of its own is over then. */
function doJob(command: { job: string; frostMm: number | null }, world: World): Decision {
  const before = world.job(command.job);
  const frostMm = command.frostMm ?? (before.frostMm === null ? null : 0);
  const after = { ...before, lastOn: world.today, frostMm, retired: before.dueOn !== null };
  return decided('job.done', before, after, `Done: ${before.name}.`);
}

export const doJobCommand: CommandKind<{ job: string; frostMm: number | null }> = {
  type: 'job.done',
  may: HOUSEHOLD_MAY,
  needs: () => ({ jobs: true }),
  decide: doJob,
};
