import { daysBetween } from '@/core/calendar/calendarDate';
import { sayDueDate, sayPastDate } from '@/core/calendar/sayDate';
import { jobDue } from '@/core/kitchen/jobDue';
import type { Job } from '@/core/model/setting';
import { sql } from '@/store/database';
import { readJobs } from '@/store/jobs';
import { readThawing } from '@/store/today';
import type { HouseholdContext } from '../household/context';
import { toPackageView } from '../stock/packageView';

/** One job of the day. */
export interface JobView {
  id: string;
  kind: 'thaw' | Job['kind'];
  says: string;
  /** The package it is about; `null`: none. */
  code: string | null;
  /** The same in two or three words, for a small space. */
  short: string;
  /** "due today", "since Mon". */
  due_words: string;
  /** What saying it is done changes: a package that is thawed now, or the job itself. */
  done: { type: 'package.thaw'; package: string; version: number } | { type: 'job.done'; job: string };
}

/** The most thawing packages told as jobs. */
const MOST_THAWING = 8;

/** Thaw steps, rounds and upkeep that are due today. */
export async function readJobsOfTheDay(context: HouseholdContext): Promise<JobView[]> {
  const { household, today } = context;
  const [thawing, jobs] = await Promise.all([
    readThawing(sql(), household.id, MOST_THAWING),
    readJobs(sql(), household.id),
  ]);
  const thaw = thawing.map((found): JobView => {
    const view = toPackageView(found, context);
    const since = found.history.findLast(({ did }) => did === 'thawing')?.on ?? today;
    return {
      id: found.id,
      kind: 'thaw',
      code: found.code,
      says: `${view.food.name} ${view.amount_words} thaws on ${view.zone?.name ?? 'the counter'}; use it by ${sayDueDate(found.governingDate, today)}`,
      short: `${view.food.name} thaws`,
      due_words: `since ${sayPastDate(since, today)}, use by ${sayDueDate(found.governingDate, today)}`,
      done: { type: 'package.thaw', package: found.id, version: found.version },
    };
  });
  const due = jobs
    .filter(({ retired }) => !retired)
    .map((job) => ({ job, on: jobDue(job, today) }))
    .filter(({ on }) => on <= today)
    .sort((a, b) => (a.on < b.on ? -1 : 1));
  return [
    ...thaw,
    ...due.map(({ job, on }): JobView => {
      const late = daysBetween(on, today);
      return {
        id: job.id,
        kind: job.kind,
        code: null,
        says: job.name,
        short: job.name,
        due_words: late === 0 ? 'due today' : `due ${late === 1 ? '1 day' : `${late} days`} ago`,
        done: { type: 'job.done', job: job.id },
      };
    }),
  ];
}
