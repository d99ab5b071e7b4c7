import { sayDueDate, sayPastDate } from '@/core/calendar/sayDate';
import { FROST_MM, jobDue } from '@/core/kitchen/jobDue';
import type { Job } from '@/core/model/setting';
import { sql } from '@/store/database';
import { readJobs } from '@/store/jobs';
import { viewContext } from '../household/context';

/** A round or upkeep with when it is due, in words. */
export interface UpkeepView {
  job: Job;
  due: boolean;
  due_words: string;
  last_words: string;
}

/** What comes round in this kitchen, what is due first. */
export async function readUpkeep(): Promise<{ jobs: UpkeepView[]; today: string; appliances: string[] }> {
  const { household, kitchen, today } = await viewContext();
  const jobs = (await readJobs(sql(), household.id))
    .filter(({ retired }) => !retired)
    .map((job) => ({ job, on: jobDue(job, today) }))
    .sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
  return {
    today,
    appliances: kitchen.appliances.map(({ name }) => name),
    jobs: jobs.map(({ job, on }) => ({
      job,
      due: on <= today,
      due_words:
        job.frostMm !== null && job.frostMm >= FROST_MM
          ? `due: ${job.frostMm} mm of frost`
          : on <= today
            ? 'due today'
            : `next ${sayDueDate(on, today)}`,
      last_words: job.lastOn === null ? 'not done yet' : `last ${sayPastDate(job.lastOn, today)}`,
    })),
  };
}
