import { addDays, type CalendarDate } from '@/core/calendar/calendarDate';
import { fillOverTime } from '@/core/lookback/fillOverTime';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import type { LostRow, StayRow } from '@/store/lookback';

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

const WEEKS = 26;
const AGES = [7, 14, 30, 60, 90, 180, 365] as const;

/** Why something was lost, in words. */
export const REASONS: Readonly<Record<string, string>> = {
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
export function lostBy(rows: readonly LostRow[], keyOf: (row: LostRow) => string): [string, LostRow][] {
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

export function lostChart(
  id: string,
  title: string,
  sums: [string, LostRow][],
  currency: string,
): LookBackChart {
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

export function ageChart(
  rows: readonly { startOn: string; frozen: boolean }[],
  today: CalendarDate,
): LookBackChart {
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
  // Days as texts compare at once; counting days for each of twenty thousand would take a second.
  const since = AGES.map((days) => addDays(today, -days));
  const bucket = (startOn: string): number => {
    const at = since.findIndex((day) => startOn >= day);
    return at < 0 ? AGES.length : at;
  };
  const count = (frozen: boolean): number[] => {
    const values = labels.map(() => 0);
    for (const { startOn, frozen: its } of rows)
      if (its === frozen) {
        const at = bucket(startOn);
        values[at] = (values[at] ?? 0) + 1;
      }
    return values;
  };
  const old = rows.filter(({ startOn }) => bucket(startOn) === AGES.length).length;
  return {
    ...{ id: 'age', title: 'How old the stock is', kind: 'bars', labels },
    summary: `${rows.length} packages; ${old === 0 ? 'none is older than a year' : `${old} older than a year`}.`,
    series: [
      { name: 'Chilled', unit: 'packs', values: count(false) },
      { name: 'Frozen', unit: 'packs', values: count(true) },
    ],
  };
}

export function fillChart(stays: readonly StayRow[], today: CalendarDate): LookBackChart {
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
