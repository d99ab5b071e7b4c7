import type { CalendarDate } from '@/core/calendar/calendarDate';
import { dateInZone } from '@/core/calendar/dateInZone';
import { sayDueDate, sayPastDate } from '@/core/calendar/sayDate';
import { jobDue } from '@/core/kitchen/jobDue';
import { composts } from '@/core/leaving/composts';
import type { Package } from '@/core/model/package';
import type { Finding, Looked, Round, RoundRhythm, ZoneStep } from '@/core/model/round';
import { minutesBetween } from '@/core/keeping/counterMinutes';
import { lookDue } from '@/core/rounds/lookDue';
import { type Signs, signsFor } from '@/core/rounds/signsFor';
import { listToUseUp } from '@/core/rounds/listToUseUp';
import type { StockRow } from '@/core/stock/stockRow';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readJobs } from '@/store/jobs';
import { readKept } from '@/store/kept';
import { readPackages } from '@/store/packages';
import { type HouseholdContext, viewContext } from '../household/context';
import { keptSince } from '../household/kept';
import { type PackageView, toPackageView } from '../stock/packageView';
import { readStockRows } from '../stock/stockRows';

/** One thing to look at in a round. */
export interface RoundThing {
  view: PackageView;
  zone: string;
  signs: Signs;
  /** What this round said of it; `null`: not looked at yet. */
  finding: Finding | null;
  /** It was not there in an earlier round. */
  missing: boolean;
  /** It wants a look by now. */
  due: boolean;
  age_words: string;
  composts: boolean;
}

export interface RoundZone {
  id: string;
  name: string;
  appliance: string;
  cold: 'fridge' | 'freezer';
  packages: number;
  due: number;
  due_words: string;
  /** Of the round that is open; `null`: it is not in it. */
  step: ZoneStep | null;
}

export interface UseUpView {
  code: string;
  words: string;
  place: string;
  due_words: string;
  found: boolean;
}

export interface RoundsView {
  now: string;
  today: CalendarDate;
  rhythm: RoundRhythm;
  round: (Omit<Round, 'zones'> & { minutes: number }) | null;
  zones: RoundZone[];
  /** What lies in the zones of the open round. */
  things: RoundThing[];
  /** Not there in the last round: asked about in the next. */
  missing: { code: string; words: string; place: string; since: string }[];
  use_up: UseUpView[];
  /** Round jobs that are due: done when a whole round is walked. */
  jobs: string[];
  past: { id: string; words: string }[];
}

const MOST_PAST = 6;
const MOST_USE_UP = 80;

interface Known {
  context: HouseholdContext;
  rows: readonly StockRow[];
  looked: ReadonlyMap<string, Looked>;
  rounds: Round[];
  rhythm: RoundRhythm;
}

/** What rounds know of a household, read once a change. */
async function readKnown(context: HouseholdContext): Promise<Known> {
  const { household, today } = context;
  const [rows, kept] = await Promise.all([
    readStockRows(household, today),
    keptSince(household, 'rounds', () => readKept(sql(), household.id, ['round', 'looked', 'round-rhythm'])),
  ]);
  return {
    context,
    rows,
    looked: kept.looked,
    rounds: [...kept.round.values()].sort((a, b) => (a.begun < b.begun ? 1 : -1)),
    rhythm: kept['round-rhythm'].get('') ?? { fridge: null, freezer: null },
  };
}

/** The day each package wants eyes. */
function dueOf({ context, looked, rhythm }: Known, row: StockRow): CalendarDate {
  const { kitchen, reference, today } = context;
  const food = reference.byId.get(row.foodId);
  const zone = kitchen.zones.find(({ id }) => id === row.zoneId);
  const last = looked.get(row.id) ?? null;
  return lookDue(
    {
      ...{ state: row.state, governingDate: row.governingDate, condemned: row.condemned },
      ...{ cameOn: row.startOn, keepsDays: food?.fridgeDaysMax ?? null, zoneKind: zone?.kind ?? null },
    },
    // Another clock than the one that was looked at: as if nobody had.
    last && last.frozen === (row.state === 'frozen') ? last : null,
    rhythm,
    today,
  );
}

function toThing(found: Package, row: StockRow, due: boolean, round: Round, known: Known): RoundThing[] {
  const { context, looked } = known;
  const food = context.reference.byId.get(found.foodId);
  if (!food || found.zoneId === null) return [];
  const last = looked.get(found.id);
  const frozen = found.state === 'frozen';
  return [
    {
      view: toPackageView(found, context),
      zone: found.zoneId,
      signs: signsFor(food, { ...found, frozen, startOn: row.startOn }, context.today),
      finding: last?.round === round.id ? last.finding : null,
      missing: last?.missing != null && last.missing.round !== round.id,
      due,
      age_words: `since ${sayPastDate(row.startOn, context.today)}`,
      composts: composts(food),
    },
  ];
}

/** Rounds: what wants eyes where, the round that is being walked with all that lies in its zones, and what is to be used up. */
export async function readRounds(): Promise<RoundsView> {
  const context = await viewContext();
  const { household, kitchen, today, at: now } = context;
  const known = await readKnown(context);
  const { rows, looked, rounds } = known;
  const open = rounds.find(({ ended }) => ended === null) ?? null;
  const step = new Map(open?.zones.map((one) => [one.zone, one.step]));
  const placed = rows.filter((row): row is StockRow & { zoneId: string } => row.zoneId !== null);
  const dues = new Map(placed.map((row) => [row.id, dueOf(known, row)]));
  const inRound = open ? placed.filter(({ zoneId }) => step.has(zoneId)) : [];
  const [packages, jobs] = await Promise.all([
    readPackages(
      sql(),
      household.id,
      inRound.map(({ id }) => id),
    ),
    readJobs(sql(), household.id),
  ]);
  const nameOf = new Map(
    kitchen.zones.map(({ id, name, applianceName }) => [id, `${name}, ${applianceName}`]),
  );
  const place = (id: string | null): string => nameOf.get(id ?? '') ?? 'on the counter';
  const words = ({ called, amount, unit }: StockRow): string => `${called} ${sayAmount(amount, unit)}`;
  const zones = kitchen.zones.flatMap((zone): RoundZone[] => {
    const its = placed.filter(({ zoneId }) => zoneId === zone.id);
    if (its.length === 0) return [];
    const days = its.map(({ id }) => dues.get(id) ?? today);
    const first = days.reduce((a, b) => (a < b ? a : b));
    return [
      {
        ...{ id: zone.id, name: zone.name, appliance: zone.applianceName, cold: zone.cold },
        packages: its.length,
        due: days.filter((day) => day <= today).length,
        due_words: first <= today ? 'now' : sayDueDate(first, today),
        step: step.get(zone.id) ?? null,
      },
    ];
  });
  return {
    now,
    today,
    rhythm: known.rhythm,
    round: open && { id: open.id, begun: open.begun, ended: null, minutes: minutesBetween(open.begun, now) },
    zones,
    things: open
      ? inRound.flatMap((row) => {
          const found = packages.get(row.id);
          return found && found.gone === null
            ? toThing(found, row, (dues.get(row.id) ?? today) <= today, open, known)
            : [];
        })
      : [],
    missing: rows.flatMap((row) => {
      const missing = looked.get(row.id)?.missing;
      return missing
        ? [
            {
              code: row.code,
              words: words(row),
              place: place(row.zoneId),
              since: sayPastDate(missing.on, today),
            },
          ]
        : [];
    }),
    use_up: listToUseUp(rows, looked, today, context.mayEat)
      .slice(0, MOST_USE_UP)
      .map(({ row, why }) => ({
        ...{ code: row.code, words: words(row), place: place(row.zoneId) },
        ...{ due_words: sayDueDate(row.governingDate, today), found: why === 'found' },
      })),
    jobs: jobs
      .filter((job) => !job.retired && job.kind === 'round' && jobDue(job, today) <= today)
      .map(({ id }) => id),
    past: rounds
      .filter(({ ended }) => ended !== null)
      .slice(0, MOST_PAST)
      .map((one) => ({ id: one.id, words: sayRound(one, looked, context) })),
  };
}

/** "today: 4 of 5 zones in 12 min; 20 fine, 2 turning". */
function sayRound(
  round: Round,
  looked: ReadonlyMap<string, Looked>,
  { household, today }: HouseholdContext,
): string {
  const walked = round.zones.filter(({ step }) => step === 'walked').length;
  const its = [...looked.values()].filter((one) => one.round === round.id);
  const count = (finding: Finding): number => its.filter((one) => one.finding === finding).length;
  const found = [
    [count('fine'), 'fine'],
    [count('turning'), 'turning'],
    [count('bad'), 'bad'],
    [count('missing'), 'not there'],
  ]
    .filter(([many]) => many !== 0)
    .map(([many, what]) => `${many} ${what}`);
  const minutes = minutesBetween(round.begun, round.ended ?? round.begun);
  return `${sayPastDate(dateInZone(round.begun, household.timeZone), today)}: ${walked} of ${round.zones.length} zones in ${minutes} min${
    found.length > 0 ? `; ${found.join(', ')}` : ''
  }`;
}
