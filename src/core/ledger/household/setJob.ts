import { Refusal } from '../../refusal';
import type { Decision } from '../decide';
import type { Job, SettingEvent } from '../../model/setting';
import type { World } from '../../model/world';

function decided(type: SettingEvent['type'], before: Job | null, after: Job, says: string): Decision {
  const setting = (value: Job) => ({ kind: 'job' as const, subject: after.id, value });
  return {
    lots: [],
    events: [],
    settings: [{ type, before: before && setting(before), after: setting(after), says }],
  };
}

/** A round walked or upkeep done today; what is judged by its frost has none then, unless some was left, mm. One with a day of its own is over then. */
export function doJob(command: { job: string; frostMm: number | null }, world: World): Decision {
  const before = world.job(command.job);
  const frostMm = command.frostMm ?? (before.frostMm === null ? null : 0);
  const after = { ...before, lastOn: world.today, frostMm, retired: before.dueOn !== null };
  return decided('job.done', before, after, `Done: ${before.name}.`);
}

/** Sets up a round or upkeep, changes one, or gives it up (`retired`). @throws Refusal `job` for a name or interval that cannot be */
export function setJob(
  command: { job: Omit<Job, 'lastOn'> & { lastOn?: Job['lastOn'] } },
  world: World,
): Decision {
  const before = world.jobCalled(command.job.id);
  const after: Job = { ...command.job, lastOn: command.job.lastOn ?? before?.lastOn ?? null };
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
