import { addDays } from '@/core/calendar/calendarDate';
import { sayFullDate } from '@/core/calendar/sayDate';
import { sql } from '@/store/database';
import { readOnCounter } from '@/store/packages';
import { countNear, countOutside, countPassed, countThawing, type NearCounts } from '@/store/today';
import { viewContext } from './context';
import { type CounterItem, toCounter } from './counter';
import { type ApplianceView, readDrawing } from './drawing';
import { type FirstOutRow, readAnsweredRows, readAskingPage, scopeNamed, scopesOf } from './firstOut';
import { type JobView, readJobsOfTheDay } from './jobs';
import { type PlaceView, toPackageView, toPlace } from './packageView';

export interface TodayView {
  household: string;
  today: string;
  today_words: string;
  summary: string;
  scope: string;
  scopes: { key: string; name: string }[];
  /** What asks for an answer, first out first; the rest follows under `next`. */
  first_out: FirstOutRow[];
  next: string | null;
  asking: number;
  answered: FirstOutRow[];
  settled: number;
  total: number;
  /** Dates that went by with no answer in the last 12 months. */
  passed_unanswered: number;
  jobs: JobView[];
  freezer_zones: PlaceView[];
  appliances: ApplianceView[];
  counter: CounterItem[];
}

const YEAR_DAYS = 365;

function summaryOf({ discard, look, tonight, soon }: NearCounts, thawing: number): string {
  const parts = [
    tonight > 0 ? `${tonight} to eat tonight` : '',
    soon > 0 ? `${soon} in the next three days` : '',
    look > 0 ? `${look} to look at first` : '',
    discard > 0 ? `${discard} to throw out` : '',
    thawing > 0 ? `${thawing} thawing` : '',
  ].filter((part) => part !== '');
  return parts.length === 0 ? 'Nothing presses. The oldest stands first all the same.' : parts.join(' · ');
}

/** What passed its date without an answer in the last 12 months. */
export async function countPassedUnanswered(householdId: number, today: string): Promise<number> {
  return countPassed(sql(), householdId, { since: addDays(today, -YEAR_DAYS), today });
}

/** The first page of what asks, and the pages after it. */
export async function readFirstOutPage(query: { scope?: string | undefined; after?: string | undefined }) {
  const context = await viewContext();
  return readAskingPage(context, scopeNamed(context, query.scope), query.after ?? null);
}

/** Everything Today shows: first out, the jobs of the day, the drawn kitchen, the counter. */
export async function readToday(query: { scope?: string | undefined } = {}): Promise<TodayView> {
  const context = await viewContext();
  const { household, kitchen, today } = context;
  const scope = scopeNamed(context, query.scope);
  const zoneIds = scope.zone_ids;
  const [asking, answered, near, thawing, outside, passed, jobs, appliances, onCounter] = await Promise.all([
    readAskingPage(context, scope, null),
    readAnsweredRows(context, scope),
    countNear(sql(), household.id, { today, soonUntil: addDays(today, 3), zoneIds }),
    countThawing(sql(), household.id),
    countOutside(sql(), household.id),
    countPassedUnanswered(household.id, today),
    readJobsOfTheDay(context),
    readDrawing(context),
    readOnCounter(sql(), household.id),
  ]);
  const inZones = appliances
    .flatMap(({ zones }) => zones)
    .filter(({ id }) => zoneIds === null || zoneIds.includes(id))
    .reduce((sum, { packages }) => sum + packages, 0);
  const total = inZones + (zoneIds === null ? outside : 0);
  return {
    household: household.name,
    today,
    today_words: sayFullDate(today),
    summary: summaryOf(near, thawing),
    scope: scope.key,
    scopes: scopesOf(context).map(({ key, name }) => ({ key, name })),
    first_out: asking.rows,
    next: asking.next,
    asking: near.asking,
    answered,
    settled: total - near.asking - near.answered,
    total,
    passed_unanswered: passed,
    jobs,
    freezer_zones: kitchen.zones.filter(({ cold }) => cold === 'freezer').map(toPlace),
    appliances: appliances.filter(
      ({ zones }) => zoneIds === null || zones.some(({ id }) => zoneIds.includes(id)),
    ),
    counter: toCounter(
      onCounter.map((found) => toPackageView(found, context)),
      context.at,
    ),
  };
}
