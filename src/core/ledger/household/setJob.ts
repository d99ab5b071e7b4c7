import { Refusal } from '../../model/refusal';
import type { Decision } from '../../model/decision';
import type { Job } from '../../model/setting';
import type { World } from '../../model/world';
import { decided } from './jobDecided';
import type { CommandKind } from '../../model/command';

/** A job as it is told; when it was done last may be left out. */
type ToldJob = Omit<Job, 'lastOn'> & { lastOn?: Job['lastOn'] };

/** Sets up a round or upkeep, changes one, or gives it up (`retired`). @throws Refusal `job` for a name or day that cannot be, or another kind */
function setJob(command: { job: ToldJob }, world: World): Decision {
  const before = world.jobCalled(command.job.id);
  const after: Job = { ...command.job, lastOn: command.job.lastOn ?? before?.lastOn ?? null };
  if (before && before.kind !== after.kind)
    throw new Refusal('job', `${before.name} is another kind of job. Add this one as a new job.`);
  if (after.name.trim() === '') throw new Refusal('job', 'What is to be done needs a name.');
  if (after.dueOn !== null && before === null && after.dueOn < world.today) {
    throw new Refusal('job', `${after.dueOn} has passed; choose a day from today on.`);
  }
  const when = after.dueOn === null ? `every ${after.everyDays} days` : `by ${after.dueOn}`;
  return decided(
    'job.set',
    before,
    after,
    after.retired ? `No longer: ${after.name}.` : `${after.name}, ${when}.`,
  );
}

export const setJobCommand: CommandKind<{ job: ToldJob }> = {
  type: 'job.set',
  needs: () => ({ jobs: true }),
  decide: setJob,
};
