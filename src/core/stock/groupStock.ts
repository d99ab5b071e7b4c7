import type { CalendarDate } from '../calendar/calendarDate';
import { sayPastDate } from '../calendar/sayDate';
import { type Band, keepingOn } from '../keeping/judgeKeeping';
import { EATABLE, type Eatable, type MayEat } from '../keeping/mayEat';
import { type AmountUnit, sayAmount } from '../units/sayAmount';
import type { StockRow } from './stockRow';

/** What the stock is counted by. */
export const GROUPINGS = ['food', 'pack', 'zone', 'band', 'person'] as const;
export type Grouping = (typeof GROUPINGS)[number];

/** What is in a group, or in all of them: packs, and what they come to. */
export interface StockTotals {
  /** Meal packs: each label is one. */
  packs: number;
  grams: number;
  millilitres: number;
  pieces: number;
  /** Minor units of what was told a price. */
  minor: number;
  /** Packs nobody told a price of. */
  unpriced: number;
}

/** Packages counted as one: "Chowder: 2 × 600 ml, oldest Mon". */
export interface StockGroup {
  key: string;
  name: string;
  /** "2 × 600 ml, 1 × 300 ml": the commonest size first. */
  sizes: string;
  /** When the oldest began. */
  oldestOn: CalendarDate;
  oldest: string;
  /** The one that goes first. */
  first: StockRow;
  band: Band;
  verdict: Eatable;
  /** Zones it lies in; `null`: out of the cold. */
  zones: (string | null)[];
  totals: StockTotals;
}

const NOTHING: StockTotals = { packs: 0, grams: 0, millilitres: 0, pieces: 0, minor: 0, unpriced: 0 };
const FIELD: Readonly<Record<AmountUnit, 'grams' | 'millilitres' | 'pieces'>> = {
  g: 'grams',
  ml: 'millilitres',
  pc: 'pieces',
};
const BAND_NAMES: Readonly<Record<Band, string>> = {
  past: 'Past',
  today: 'Today',
  soon: 'Soon',
  settled: 'Settled',
};
const BAND_ORDER: readonly Band[] = ['past', 'today', 'soon', 'settled'];

const bandOf = (row: StockRow, today: CalendarDate) =>
  keepingOn({ ...row, governing: { date: row.governingDate, kind: row.governingKind } }, today);

/** The strictest answer of a group. */
const worstOf = (rows: readonly StockRow[], mayEat: MayEat): Eatable =>
  EATABLE[Math.max(...rows.map((row) => EATABLE.indexOf(mayEat(row).may)))] ?? 'eat';

/** What packages come to. */
export function totalsOf(rows: readonly StockRow[]): StockTotals {
  const sum = { ...NOTHING, packs: rows.length };
  for (const { amount, unit, priceMinor } of rows) {
    sum[FIELD[unit]] += amount;
    if (priceMinor === null) sum.unpriced += 1;
    else sum.minor += priceMinor;
  }
  return sum;
}

/** "2 × 600 ml, 1 × 300 ml", the commonest size first, at most three sizes. */
function saySizes(rows: readonly StockRow[]): string {
  const counts = new Map<string, number>();
  for (const { amount, unit } of rows) {
    const size = sayAmount(amount, unit);
    counts.set(size, (counts.get(size) ?? 0) + 1);
  }
  const sizes = [...counts.entries()].sort(([, a], [, b]) => b - a);
  const said = sizes.slice(0, 3).map(([size, count]) => `${count} × ${size}`);
  const rest = sizes.slice(3).reduce((sum, [, count]) => sum + count, 0);
  return [...said, ...(rest > 0 ? [`${rest} more`] : [])].join(', ');
}

/** How packages are told together. @param placeOf a zone by name */
export function groupKey(
  row: StockRow,
  by: Grouping,
  today: CalendarDate,
  placeOf: (zoneId: string | null) => string,
): { key: string; name: string } {
  switch (by) {
    case 'food':
      return { key: `${row.foodId} ${row.called.toLowerCase()}`, name: row.called };
    case 'pack': {
      const size = sayAmount(row.amount, row.unit);
      return {
        key: `${row.foodId} ${row.called.toLowerCase()} ${size} ${row.state}`,
        name: `${row.called} ${size}, ${row.state}`,
      };
    }
    case 'zone':
      return { key: row.zoneId ?? 'counter', name: placeOf(row.zoneId) };
    case 'band': {
      const { band } = bandOf(row, today);
      return { key: band, name: BAND_NAMES[band] };
    }
    case 'person':
      return { key: row.whose.toLowerCase(), name: row.whose === '' ? 'Everybody’s' : `${row.whose}’s` };
  }
}

/**
 * The stock as a cook counts it: packages told together, the group whose first package goes first on top (by zone and person: by
 * name), each with its sizes, its oldest and what it comes to. No package is counted twice and none is left out.
 *
 * @param rows in first-out order
 */
export function groupStock(
  rows: readonly StockRow[],
  by: Grouping,
  today: CalendarDate,
  placeOf: (zoneId: string | null) => string,
  mayEat: MayEat,
): StockGroup[] {
  const groups = new Map<string, { name: string; rows: StockRow[] }>();
  for (const row of rows) {
    const { key, name } = groupKey(row, by, today, placeOf);
    const group = groups.get(key);
    if (group) group.rows.push(row);
    else groups.set(key, { name, rows: [row] });
  }
  const told = [...groups].map(([key, group]): StockGroup => {
    const [first] = group.rows as [StockRow, ...StockRow[]];
    const oldestOn = group.rows.reduce(
      (least, { startOn }) => (startOn < least ? startOn : least),
      first.startOn,
    );
    const worst = bandOf(first, today);
    return {
      key,
      name: group.name,
      sizes: saySizes(group.rows),
      oldestOn,
      oldest: sayPastDate(oldestOn, today),
      first,
      band: worst.band,
      verdict: worstOf(group.rows, mayEat),
      zones: [...new Set(group.rows.map(({ zoneId }) => zoneId))],
      totals: totalsOf(group.rows),
    };
  });
  if (by === 'zone' || by === 'person') return told.sort((a, b) => a.name.localeCompare(b.name));
  if (by === 'band')
    return told.sort((a, b) => BAND_ORDER.indexOf(a.key as Band) - BAND_ORDER.indexOf(b.key as Band));
  return told;
}
