import { addDays, daysBetween } from '@/core/calendar/calendarDate';
import { dateInZone } from '@/core/calendar/dateInZone';
import { sayDueDate, sayPastDate, sayPlainDate } from '@/core/calendar/sayDate';
import { jobDue } from '@/core/kitchen/jobDue';
import type { Job } from '@/core/model/setting';
import { sql } from '@/store/database';
import { readJobs } from '@/store/jobs';
import { promisesOf } from '@/core/firstout/promised';
import { isHandsOff } from '@/core/ledger/package/kept';
import { readLotLooks, readUntrueLabels } from '@/store/labels';
import { readComing, readThawing } from '@/store/today';
import { keptThawSteps } from '../meals/thawSteps';
import type { HouseholdContext } from '../household/context';
import { toPackageView } from '../stock/packageView';

/** One job of the day. */
export interface JobView {
  id: string;
  kind: 'thaw' | 'freeze' | 'label' | 'look' | Job['kind'];
  says: string;
  /** The package it is about; `null`: none. */
  code: string | null;
  /** The page where it is done; left out: none of its own. */
  href?: string;
  /** The same in two or three words, for a small space. */
  short: string;
  /** "due today", "since Mon". */
  due_words: string;
  /** What saying it is done changes: a package that is thawed now or moved down, or the job itself; `null`: nothing can be pressed. */
  done:
    | { type: 'package.thaw'; package: string; version: number; method: 'fridge'; zone: string | null }
    | { type: 'job.done'; job: string }
    | { type: 'labels.print'; codes: string[] }
    | { type: 'lot.looked'; lot: string }
    | null;
}

/** The most thawing packages told as jobs. */
const MOST_THAWING = 8;
/** The most labels, and lots to look at. */
const MOST_LABELS = 8;

/** What must be moved down today or tomorrow for a meal; what the fridge is too late for says what still works. */
async function moveDown(context: HouseholdContext): Promise<JobView[]> {
  const steps = await keptThawSteps(context);
  const tomorrow = addDays(context.today, 1);
  return steps.flatMap(({ best, zone, ...step }): JobView[] => {
    if (step.thawing) return [];
    const fridge = step.ways.find(({ way }) => way === 'fridge');
    if (!fridge || dateInZone(fridge.startBy, context.household.timeZone) > tomorrow) return [];
    const what = `${step.called} ${step.amount_words} ${step.code}`;
    const meal =
      step.meal_name === '' ? `for ${sayDueDate(step.on, context.today)}` : `for ${step.meal_name}`;
    const job = {
      ...{ id: `thaw ${step.package}`, kind: 'thaw' as const, code: step.code },
      short: `${step.called} down to thaw`,
    };
    if (best?.way === 'fridge' && zone)
      return [
        {
          ...job,
          says: `Move ${what} down to ${zone.name} by ${sayTimeOn(best.startBy, context)}, ${meal}`,
          due_words: `by ${sayTimeOn(best.startBy, context)}`,
          done: {
            ...{ type: 'package.thaw', package: step.package, version: step.version },
            ...{ method: 'fridge', zone: zone.id },
          },
        },
      ];
    const still =
      best === null
        ? 'it cannot be thawed in time: plan another meal'
        : best.way === 'from-frozen'
          ? 'cook it from frozen'
          : `cold water still works until ${sayTimeOn(best.startBy, context)}`;
    return [
      {
        ...job,
        says: `${what} ${meal}: too late for the fridge; ${still}`,
        due_words: 'too late for the fridge',
        done: null,
      },
    ];
  });
}

/** Days ahead of its date that what nothing is planned for is named while freezing still makes sense; docs/simulated-years.md says why two. */
const FREEZE_AHEAD_DAYS = 2;
const MOST_COMING = 100;

/** What nobody will have eaten by its date and the freezer keeps: one line for all of it. */
async function freezeInTime({ household, reference, today }: HouseholdContext): Promise<JobView[]> {
  const on = addDays(today, FREEZE_AHEAD_DAYS);
  const coming = await readComing(sql(), household.id, {
    today,
    limit: MOST_COMING,
    zoneIds: null,
    frozen: false,
  });
  const its = coming.filter(
    (found) =>
      found.governingDate === on &&
      found.state === 'chilled' &&
      found.answer === null &&
      promisesOf(found, today).length === 0 &&
      !isHandsOff(found, today) &&
      (reference.byId.get(found.foodId)?.freezeFit ?? 'no') !== 'no',
  );
  if (its.length === 0) return [];
  const names = [...new Set(its.map(({ called }) => called))];
  return [
    {
      ...{ id: 'freeze', kind: 'freeze', code: null, href: '/rounds/leaving', done: null },
      says: `Freeze in time, or plan: ${names.join(', ')}; nothing is planned for it by ${sayDueDate(on, today)}`,
      short: its.length === 1 ? `Freeze ${names[0] ?? ''} in time` : `Freeze ${its.length} in time`,
      due_words: `nothing planned by ${sayDueDate(on, today)}`,
    },
  ];
}

/** "16:20", "Sat 18:00", by the household's clock. */
function sayTimeOn(at: string, { household, today }: HouseholdContext): string {
  const day = dateInZone(at, household.timeZone);
  const time = new Date(at).toLocaleTimeString('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
    timeZone: household.timeZone,
  });
  return day === today ? time : `${sayDueDate(day, today)} ${time}`;
}

/** Labels that say a later date than the package has. */
async function newLabels({ household, today }: HouseholdContext): Promise<JobView[]> {
  const found = await readUntrueLabels(sql(), household.id, MOST_LABELS);
  return found.map(({ called, code, governingDate, labelled = governingDate }) => ({
    id: `label ${code}`,
    kind: 'label' as const,
    code,
    short: `New label: ${called}`,
    says: `${called} ${code} says ${sayPlainDate(labelled)} on its label; it is ${sayPlainDate(governingDate)} by now`,
    due_words: `${sayDueDate(governingDate, today)}, not ${sayDueDate(labelled, today)}`,
    done: { type: 'labels.print' as const, codes: [code] },
  }));
}

/** What came in with something that was found bad or entered wrongly, and is still here. */
async function lotsToLookAt({ household, today }: HouseholdContext): Promise<JobView[]> {
  const lots = await readLotLooks(sql(), household.id, MOST_LABELS);
  return lots.map(({ lot, look, sisters }) => {
    const [first] = sisters;
    const many = sisters.length === 1 ? '1 more' : `${sisters.length} more`;
    const why =
      look.why === 'bad'
        ? `${look.code} was found bad ${sayPastDate(look.on, today)}`
        : `${look.code} was entered wrongly`;
    return {
      id: `lot ${lot}`,
      kind: 'look' as const,
      code: first?.code ?? null,
      short: `Look at ${many} ${look.called}`,
      says: `${why}, and came in with ${sisters.map(({ code }) => code).join(', ')}: look at ${sisters.length === 1 ? 'it' : 'them'} too`,
      due_words: why,
      done: { type: 'lot.looked' as const, lot },
    };
  });
}

/** Thaw steps, labels, lots, rounds and upkeep that are due today. */
export async function readJobsOfTheDay(context: HouseholdContext): Promise<JobView[]> {
  const { household, today } = context;
  const [thawing, jobs, down, freeze, lots, labels] = await Promise.all([
    readThawing(sql(), household.id, MOST_THAWING),
    readJobs(sql(), household.id),
    moveDown(context),
    freezeInTime(context),
    lotsToLookAt(context),
    newLabels(context),
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
      done: { type: 'package.thaw', package: found.id, version: found.version, method: 'fridge', zone: null },
    };
  });
  const due = jobs
    .filter(({ retired }) => !retired)
    .map((job) => ({ job, on: jobDue(job, today) }))
    .filter(({ on }) => on <= today)
    .sort((a, b) => (a.on < b.on ? -1 : 1));
  return [
    ...down,
    ...thaw,
    ...freeze,
    ...lots,
    ...labels,
    ...due.map(({ job, on }): JobView => {
      const late = daysBetween(on, today);
      return {
        id: job.id,
        kind: job.kind,
        code: null,
        ...(job.kind === 'round' ? { href: '/rounds' } : {}),
        says: job.name,
        short: job.name,
        due_words: late === 0 ? 'due today' : `due ${late === 1 ? '1 day' : `${late} days`} ago`,
        done: { type: 'job.done', job: job.id },
      };
    }),
  ];
}
