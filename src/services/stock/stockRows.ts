import { freeAmount } from '@/core/firstout/promised';
import { LRUCache } from 'lru-cache';
import type { StockRow } from '@/core/stock/stockRow';
import { sql } from '@/store/database';
import type { Household } from '@/store/households';
import { countOutside, readFills } from '@/store/today';
import { readHappenedSince, readLastEvent, readRows, type StoredRow } from '@/store/stockRows';
import { keptSince } from '../household/kept';

/** The whole stock of a household as it was after an event. */
interface Held {
  event: number;
  /** In first-out order. */
  rows: StoredRow[];
}

const MOST_HELD = 12;
const shared = globalThis as typeof globalThis & { orderlyFrostRows?: LRUCache<number, Promise<Held>> };
const held = (shared.orderlyFrostRows ??= new LRUCache({ max: MOST_HELD }));

const inOrder = (rows: StoredRow[]): StoredRow[] =>
  rows.sort((a, b) => (a.firstOut < b.firstOut ? -1 : a.firstOut > b.firstOut ? 1 : 0));

/** Where a row belongs among rows in first-out order. */
function placeOf(rows: readonly StoredRow[], { firstOut }: StoredRow): number {
  let [low, high] = [0, rows.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((rows[middle]?.firstOut ?? '') < firstOut) low = middle + 1;
    else high = middle;
  }
  return low;
}

async function readAll(householdId: number): Promise<Held> {
  const event = await readLastEvent(sql(), householdId);
  return { event, rows: inOrder(await readRows(sql(), householdId, null)) };
}

/** What was held, with everything that happened since; a few rows are read, however many there are. */
async function brought(householdId: number, before: Held): Promise<Held> {
  const [{ packages, last }, fills, outside] = await Promise.all([
    readHappenedSince(sql(), householdId, before.event),
    readFills(sql(), householdId),
    countOutside(sql(), householdId),
  ]);
  const changed = new Set(packages);
  const rows = before.rows.filter(({ id }) => !changed.has(id));
  // Into their places: sorting twenty thousand for one would take longer than all the rest.
  for (const row of await readRows(sql(), householdId, packages)) rows.splice(placeOf(rows, row), 0, row);
  // Whoever wrote past the ledger left another count: then all of it is read anew.
  const there = [...fills.values()].reduce((sum, fill) => sum + fill.packages, outside);
  return there === rows.length ? { event: last, rows } : readAll(householdId);
}

/**
 * The whole stock of a household in first-out order, as slim rows: held by the process and brought up to date by the ledger. Nobody
 * may change what comes back.
 */
export const readStockRows = ({ id, changes }: Household, today: string): Promise<StockRow[]> =>
  keptSince({ id, changes }, `stock rows ${today}`, async () => {
    const before = held.get(id);
    const reading = before ? before.then((known) => brought(id, known)) : readAll(id);
    held.set(id, reading);
    reading.catch(() => held.delete(id));
    const { rows } = await reading;
    const isOver = ({ handsOff, handsOffUntil }: StoredRow): boolean =>
      handsOff && handsOffUntil !== null && handsOffUntil < today;
    // All of it is promised to meals: nobody takes it unasked, and it does not count as there.
    const isPromised = ({ promised, amount }: StoredRow): boolean =>
      promised.length > 0 && freeAmount({ amount, promised, answer: null }, today) === 0;
    return rows.some((row) => isOver(row) || isPromised(row))
      ? rows.map((row) => ({ ...row, handsOff: isPromised(row) || (row.handsOff && !isOver(row)) }))
      : rows;
  });
