import { addDays } from '@/core/calendar/calendarDate';
import { sayDueDate } from '@/core/calendar/sayDate';
import type { HouseholdSettings, Job } from '@/core/ledger/setting';
import { sql } from '@/store/database';
import { readJobs } from '@/store/jobs';
import { viewContext } from './context';
import { publicUrl } from './publicUrl';

/** What the household set for itself, and what comes round. */
export interface KitchenView {
  name: string;
  time_zone: string;
  settings: Omit<HouseholdSettings, 'feedKey'>;
  calendar_address: string;
  jobs: (Job & { due_words: string })[];
  foods: number;
  own_foods: number;
  wishes: number;
}

/** When a job is due: "today" for what is due or late. */
const sayNext = (on: string, today: string): string => (on <= today ? 'today' : sayDueDate(on, today));

/** What the place Kitchen shows. */
export async function readKitchenView(): Promise<KitchenView> {
  const { household, reference, today } = await viewContext();
  const { feedKey, ...settings } = household.settings;
  const jobs = await readJobs(sql(), household.id);
  const listed = reference.foods.filter(({ retired }) => !retired);
  return {
    name: household.name,
    time_zone: household.timeZone,
    settings,
    calendar_address: `${publicUrl()}/calendar.ics?key=${feedKey}`,
    jobs: jobs.map((job) => ({
      ...job,
      due_words: sayNext(job.lastOn === null ? today : addDays(job.lastOn, job.everyDays), today),
    })),
    foods: listed.length,
    own_foods: listed.filter(({ own }) => own).length,
    wishes: reference.wishes.size,
  };
}
