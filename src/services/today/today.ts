import { addDays } from '@/core/calendar/calendarDate';
import { sayFullDate } from '@/core/calendar/sayDate';
import { sql } from '@/store/database';
import { asEdible } from '@/core/keeping/mayEat';
import type { Package } from '@/core/model/package';
import { readStockRows } from '../stock/stockRows';
import { countToday, type NearCounts } from '@/store/today';
import { type HouseholdContext, minuteOf, readCounter, viewContext } from '../household/context';
import { keptSince } from '../household/kept';
import { type CounterItem, toCounter } from '../haul/counter';
import { type ApplianceView, readDrawing } from '../kitchen/drawing';
import {
  type FirstOutRow,
  type FreezerRow,
  readAnsweredRows,
  readAskingPage,
  readComingRows,
  readFreezerRows,
  readToEatRows,
  scopeNamed,
  scopesOf,
  type ScopeView,
} from './firstOut';
import { type JobView, readJobsOfTheDay } from './jobs';
import { toPackageView } from '../stock/packageView';

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
  /** Answered “eat tonight” or planned: it stays here until it is taken or dropped. */
  to_eat: FirstOutRow[];
  /** Near its date, not asking yet. */
  coming: FirstOutRow[];
  /** On the day for the freezers: one line for each. */
  freezers: FreezerRow[];
  settled: number;
  total: number;
  /** Dates that went by with no answer in the last 12 months. */
  passed_unanswered: number;
  jobs: JobView[];
  appliances: ApplianceView[];
  counter: CounterItem[];
}

const YEAR_DAYS = 365;
const SOON_DAYS = 3;

/** What presses, by what may be done with it; `ask`: a power cut is not decided. */
type Pressing = Pick<NearCounts, 'discard' | 'look' | 'tonight' | 'soon' | 'thawing'> & { ask: number };

function summaryOf({ discard, look, tonight, soon, thawing, ask }: Pressing): string {
  const parts = [
    tonight > 0 ? `${tonight} to eat tonight` : '',
    soon > 0 ? `${soon} in the next three days` : '',
    look > 0 ? `${look} to look at first` : '',
    discard > 0 ? `${discard} to throw out` : '',
    ask > 0 ? `${ask} to decide at the outage desk` : '',
    thawing > 0 ? `${thawing} thawing` : '',
  ].filter((part) => part !== '');
  return parts.length === 0 ? 'Nothing presses. The oldest stands first all the same.' : parts.join(' · ');
}

/** What Today counts: the last 12 months of what passed among it. */
function readCounts(
  householdId: number,
  today: string,
  zoneIds: readonly string[] | null,
): Promise<NearCounts> {
  const days = { today, soonUntil: addDays(today, SOON_DAYS), since: addDays(today, -YEAR_DAYS) };
  return countToday(sql(), householdId, { ...days, zoneIds });
}

/**
 * What presses as it may be eaten now. The tally knows dates only: where a power cut is open, or something has stood out for too long, each
 * package is asked.
 */
async function pressingNow(
  context: HouseholdContext,
  near: NearCounts,
  zoneIds: readonly string[] | null,
  onCounter: readonly Package[],
): Promise<Pressing> {
  const { household, today, mayEat } = context;
  const over = onCounter.some((found) => !found.condemned && mayEat(asEdible(found)).may === 'discard');
  if (!household.openCut && !over) return { ...near, ask: 0 };
  const counts = { discard: 0, look: 0, tonight: 0, soon: 0, ask: 0, thawing: near.thawing };
  const soonUntil = addDays(today, SOON_DAYS);
  for (const row of await readStockRows(household, today)) {
    if (zoneIds !== null && !zoneIds.includes(row.zoneId ?? '')) continue;
    const { may } = mayEat(row);
    if (may === 'discard' || may === 'ask') counts[may] += 1;
    else if (may === 'look-first') counts.look += 1;
    else if (row.governingDate === today) counts.tonight += 1;
    else if (row.state !== 'frozen' && row.governingDate <= soonUntil) counts.soon += 1;
  }
  return counts;
}

/** What passed its date without an answer in the last 12 months. */
export async function countPassedUnanswered(householdId: number, today: string): Promise<number> {
  return (await readCounts(householdId, today, null)).passed;
}

/** The first page of what asks, and the pages after it. */
export async function readFirstOutPage(query: { scope?: string | undefined; after?: string | undefined }) {
  const context = await viewContext();
  return readAskingPage(context, scopeNamed(context, query.scope), query.after ?? null);
}

/** Everything Today shows: first out, the jobs of the day, the drawn kitchen, the counter. */
export async function readToday(query: { scope?: string | undefined } = {}): Promise<TodayView> {
  const context = await viewContext();
  const scope = scopeNamed(context, query.scope);
  const { household, at } = context;
  return keptSince(household, `today ${scope.key} ${minuteOf(at)}`, () => workOut(context, scope));
}

async function workOut(context: HouseholdContext, scope: ScopeView): Promise<TodayView> {
  const { household, today } = context;
  const zoneIds = scope.zone_ids;
  const [asking, answered, toEat, coming, freezers, near, jobs, appliances, onCounter] = await Promise.all([
    readAskingPage(context, scope, null),
    readAnsweredRows(context, scope),
    readToEatRows(context, scope),
    readComingRows(context, scope),
    readFreezerRows(context, scope),
    readCounts(household.id, today, zoneIds),
    readJobsOfTheDay(context),
    readDrawing(context),
    readCounter(household),
  ]);
  const inZones = appliances
    .flatMap(({ zones }) => zones)
    .filter(({ id }) => zoneIds === null || zoneIds.includes(id))
    .reduce((sum, { packages }) => sum + packages, 0);
  const total = inZones + (zoneIds === null ? near.outside : 0);
  return {
    household: household.name,
    today,
    today_words: sayFullDate(today),
    summary: summaryOf(await pressingNow(context, near, zoneIds, onCounter)),
    scope: scope.key,
    scopes: scopesOf(context).map(({ key, name }) => ({ key, name })),
    first_out: asking.rows,
    next: asking.next,
    asking: near.asking,
    answered: answered.filter((row) => !toEat.some(({ view }) => view.id === row.view.id)),
    to_eat: toEat,
    coming,
    freezers,
    settled: total - near.asking - near.answered,
    total,
    passed_unanswered: near.passed,
    jobs,
    appliances: appliances.filter(
      ({ zones }) => zoneIds === null || zones.some(({ id }) => zoneIds.includes(id)),
    ),
    counter: toCounter(onCounter.map((found) => toPackageView(found, context))),
  };
}
