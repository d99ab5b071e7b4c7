import { addDays, type CalendarDate, daysBetween } from '@/core/calendar/calendarDate';
import { sayFullDate } from '@/core/calendar/sayDate';
import { fillOverTime } from '@/core/lookback/fillOverTime';
import { firstOutKept } from '@/core/lookback/firstOutKept';
import { learnedLife, type LifeFinding } from '@/core/lookback/learnedLife';
import { NO_WISH, type Wish } from '@/core/model/wish';
import type { Food } from '@/core/model/food';
import type { Looked } from '@/core/model/round';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { type LostRow, readCameIn, readLost, readStays, type StayRow } from '@/store/lookback';
import { type HouseholdContext, viewContext } from '../household/context';
import { keptSince } from '../household/kept';
import { readStockRows } from '../stock/stockRows';

/** A chart with the words and the table that say the same. */
export interface LookBackChart {
  id: string;
  title: string;
  summary: string;
  /** What stands along the foot, each with its values. */
  labels: string[];
  series: { name: string; unit: 'g' | 'money' | 'l' | 'packs'; values: number[] }[];
  kind: 'bars' | 'lines';
}

/** How long a food keeps here, by what was found. */
export interface LearnedView {
  food: string;
  name: string;
  published: number;
  days: number;
  low: number;
  high: number;
  findings: number;
  /** The household's wishes for it as they are. */
  wishes: Wish;
  /** A wish of so many days is worth asking for; `null`: too few findings, or much as published. */
  wish: number | null;
}

export interface LookBackView {
  today: CalendarDate;
  since: string;
  currency: string;
  charts: LookBackChart[];
  first_out: { kept: number; jumped: number; words: string };
  /** What was lost most of, against what came in. */
  buy_less: { name: string; lost_words: string; money_words: string; share: number }[];
  learned: LearnedView[];
}

const DAYS = 365;
const WEEKS = 26;
const MOST_FOODS = 12;
const LEAST_FINDINGS = 3;
/** So many findings, and so far from the published figure, before a wish is suggested. */
const WISH_FINDINGS = 8;
const WISH_SHARE = 0.15;
const MOST_LEARNED = 20;
const LESS_SHARE = 0.1;
const AGES = [7, 14, 30, 60, 90, 180, 365] as const;
const REASONS: Readonly<Record<string, string>> = {
  'past-date': 'past its date',
  spoiled: 'spoiled',
  'freezer-burnt': 'freezer burnt',
  'power-cut': 'power cut',
  unwanted: 'nobody wanted it',
  unknown: 'nobody knew what it was',
  composted: 'composted',
  lost: 'never found again',
};

/** Sums of what was lost, by a key; the most first. */
function lostBy(rows: readonly LostRow[], keyOf: (row: LostRow) => string): [string, LostRow][] {
  const sums = new Map<string, LostRow>();
  for (const row of rows) {
    const key = keyOf(row);
    const sum = sums.get(key);
    if (!sum) sums.set(key, { ...row });
    else {
      sum.times += row.times;
      sum.grams += row.grams;
      sum.pieces += row.pieces;
      sum.minor += row.minor;
    }
  }
  return [...sums.entries()].sort((a, b) => b[1].grams - a[1].grams || b[1].times - a[1].times);
}

function lostChart(id: string, title: string, sums: [string, LostRow][], currency: string): LookBackChart {
  const [most] = sums;
  const grams = sums.reduce((sum, [, row]) => sum + row.grams, 0);
  const minor = sums.reduce((sum, [, row]) => sum + row.minor, 0);
  const pieces = sums.reduce((sum, [, row]) => sum + row.pieces, 0);
  const whole = [
    sayAmount(Math.round(grams), 'g'),
    ...(pieces > 0 ? [`${pieces} ${pieces === 1 ? 'piece' : 'pieces'} nobody weighed`] : []),
    ...(minor > 0 ? [`worth ${sayMoney(minor, currency)}`] : []),
  ].join(', ');
  return {
    ...{ id, title, kind: 'bars' },
    summary:
      most === undefined
        ? 'Nothing was lost in this time.'
        : `Lost: ${whole}. The most: ${most[0]}, ${sayAmount(Math.round(most[1].grams), 'g')}.`,
    labels: sums.map(([name]) => name),
    series: [
      { name: 'Weight', unit: 'g', values: sums.map(([, row]) => row.grams) },
      { name: 'Money', unit: 'money', values: sums.map(([, row]) => row.minor) },
    ],
  };
}

function ageChart(rows: readonly { startOn: string; state: string }[], today: CalendarDate): LookBackChart {
  const labels = [
    'up to a week',
    '2 weeks',
    '1 month',
    '2 months',
    '3 months',
    '6 months',
    '1 year',
    'older',
  ];
  const bucket = (startOn: string): number => {
    const at = AGES.findIndex((days) => daysBetween(startOn, today) <= days);
    return at < 0 ? AGES.length : at;
  };
  const count = (frozen: boolean): number[] => {
    const values = labels.map(() => 0);
    for (const { startOn, state } of rows)
      if ((state === 'frozen') === frozen) values[bucket(startOn)] = (values[bucket(startOn)] ?? 0) + 1;
    return values;
  };
  const old = rows.filter(({ startOn }) => daysBetween(startOn, today) > 365).length;
  return {
    ...{ id: 'age', title: 'How old the stock is', kind: 'bars', labels },
    summary: `${rows.length} packages; ${old === 0 ? 'none is older than a year' : `${old} older than a year`}.`,
    series: [
      { name: 'Chilled', unit: 'packs', values: count(false) },
      { name: 'Frozen', unit: 'packs', values: count(true) },
    ],
  };
}

function fillChart(stays: readonly StayRow[], today: CalendarDate): LookBackChart {
  const days = fillOverTime(stays, today, WEEKS);
  const last = days.at(-1);
  const most = Math.max(0, ...days.map(({ freezer }) => freezer));
  return {
    ...{ id: 'fill', title: 'What lay in the cold', kind: 'lines' },
    summary: `Now ${last?.fridge ?? 0} l in fridges and ${last?.freezer ?? 0} l in freezers; in half a year the freezers held ${most} l at most.`,
    labels: days.map(({ on }) => on),
    series: [
      { name: 'Fridges', unit: 'l', values: days.map(({ fridge }) => fridge) },
      { name: 'Freezers', unit: 'l', values: days.map(({ freezer }) => freezer) },
    ],
  };
}

/** What was seen of a food's packages: looks of rounds, and the day it was eaten or spoiled. Chilled and closed ones only. */
function findingsOf(
  stays: readonly StayRow[],
  looked: ReadonlyMap<string, Looked>,
): Map<string, LifeFinding[]> {
  const foods = new Map<string, LifeFinding[]>();
  for (const stay of stays) {
    const last = looked.get(stay.id);
    if (stay.frozen || (last ? last.frozen || last.opened : stay.opened)) continue;
    const began = last?.began ?? stay.startOn;
    const eaten = stay.goneHow === 'taken' || stay.goneHow === 'cooked' ? stay.goneOn : null;
    const spoiled = stay.reason === 'spoiled' ? stay.goneOn : null;
    const turned = last?.turnedOn ?? spoiled;
    const fine = [last?.fineOn, turned === null ? eaten : null]
      .filter((on) => on != null)
      .sort()
      .at(-1);
    if (fine === undefined && turned === null) continue;
    const finding = {
      fineDays: fine ? Math.max(0, daysBetween(began, fine)) : 0,
      turnedDays: turned === null ? null : Math.max(1, daysBetween(began, turned)),
    };
    if (finding.turnedDays !== null && finding.turnedDays <= finding.fineDays) continue;
    foods.set(stay.foodId, [...(foods.get(stay.foodId) ?? []), finding]);
  }
  return foods;
}

function learnedOf(
  findings: ReadonlyMap<string, LifeFinding[]>,
  { reference }: HouseholdContext,
): LearnedView[] {
  return [...findings]
    .flatMap(([id, its]): { food: Food; its: LifeFinding[] }[] => {
      const food = reference.plain.get(id);
      // A safety date is not learnt: only what is judged by quality.
      return food && !food.controlled && food.fridgeDaysMax !== null && its.length >= LEAST_FINDINGS
        ? [{ food, its }]
        : [];
    })
    .sort((a, b) => b.its.length - a.its.length)
    .slice(0, MOST_LEARNED)
    .map(({ food, its }) => {
      const published = food.fridgeDaysMax ?? 1;
      const { days, low, high, findings: count } = learnedLife(published, its);
      const wished = reference.wishes.get(food.id)?.fridgeDays ?? null;
      const far = Math.abs(days / published - 1) >= WISH_SHARE;
      const round = (value: number): number => Math.round(value * 10) / 10;
      return {
        ...{ food: food.id, name: food.name, published, findings: count },
        wishes: reference.wishes.get(food.id) ?? NO_WISH,
        ...{ days: round(days), low: round(low), high: round(high) },
        wish:
          far && count >= WISH_FINDINGS && wished !== Math.floor(days) ? Math.max(1, Math.floor(days)) : null,
      };
    });
}

/** What the last twelve months teach: what was lost and why, how old the stock is, whether the oldest went first, how long food keeps here. */
export async function readLookBack(): Promise<LookBackView> {
  const context = await viewContext();
  return keptSince(context.household, `look back ${context.today}`, () => lookBack(context));
}

async function lookBack(context: HouseholdContext): Promise<LookBackView> {
  const { household, kitchen, reference, today } = context;
  const from = addDays(today, -DAYS);
  const since = `${from}T00:00:00.000Z`;
  const [lost, stays, cameIn, rows, kept] = await Promise.all([
    readLost(sql(), household.id, since),
    readStays(sql(), household.id, from),
    readCameIn(sql(), household.id, since),
    readStockRows(household, today),
    readKept(sql(), household.id, ['looked']),
  ]);
  const { currency } = household.settings;
  const nameOf = (id: string): string => reference.byId.get(id)?.name ?? id;
  const places = new Map(
    kitchen.zones.map(({ id, name, applianceName }) => [id, `${name}, ${applianceName}`]),
  );
  const came = new Map(cameIn.map((one) => [one.foodId, one]));
  const byFood = lostBy(lost, ({ foodId }) => foodId);
  const months = lostBy(lost, ({ month }) => month).sort((a, b) => (a[0] < b[0] ? -1 : 1));
  const counts = firstOutKept(stays);
  const all = counts.kept + counts.jumped;
  return {
    today,
    since: sayFullDate(from),
    currency,
    charts: [
      lostChart(
        'reason',
        'Lost, and why',
        lostBy(lost, ({ reason }) => REASONS[reason] ?? reason),
        currency,
      ),
      lostChart(
        'food',
        'Lost by food',
        byFood.slice(0, MOST_FOODS).map(([id, row]) => [nameOf(id), row]),
        currency,
      ),
      lostChart(
        'zone',
        'Lost by zone',
        lostBy(lost, ({ zoneId }) => places.get(zoneId ?? '') ?? 'on the counter, or a zone that is no more'),
        currency,
      ),
      lostChart('month', 'Lost by month', months, currency),
      ageChart(rows, today),
      fillChart(stays, today),
    ],
    first_out: {
      ...counts,
      words:
        all === 0
          ? 'Nothing was eaten whole in this time.'
          : `The oldest went first ${counts.kept} times of ${all}; ${counts.jumped} times something older of the same food stayed behind.`,
    },
    buy_less: byFood
      .flatMap(([id, row]) => {
        const bought = came.get(id)?.grams ?? 0;
        const share = bought > 0 ? Math.min(1, row.grams / bought) : 0;
        return share >= LESS_SHARE
          ? [
              {
                name: nameOf(id),
                lost_words: sayAmount(Math.round(row.grams), 'g'),
                money_words: row.minor > 0 ? sayMoney(row.minor, currency) : '',
                share,
              },
            ]
          : [];
      })
      .slice(0, MOST_FOODS),
    learned: learnedOf(findingsOf(stays, kept.looked), context),
  };
}
