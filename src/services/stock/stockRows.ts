import { LRUCache } from 'lru-cache';
import type { StockRow } from '@/core/stock/stockRow';
import { sql } from '@/store/database';
import type { Household } from '@/store/households';
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

async function readAll(householdId: number): Promise<Held> {
  const event = await readLastEvent(sql(), householdId);
  return { event, rows: inOrder(await readRows(sql(), householdId, null)) };
}

/** What was held, with everything that happened since; a few rows are read, however many there are. */
async function brought(householdId: number, before: Held): Promise<Held> {
  const { packages, last } = await readHappenedSince(sql(), householdId, before.event);
  if (packages.length === 0) return before;
  const changed = new Set(packages);
  const rows = before.rows.filter(({ id }) => !changed.has(id));
  return { event: last, rows: inOrder([...rows, ...(await readRows(sql(), householdId, packages))]) };
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
    return rows.map((row) =>
      row.handsOff && row.handsOffUntil !== null && row.handsOffUntil < today
        ? { ...row, handsOff: false }
        : row,
    );
  });
