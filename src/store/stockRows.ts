import type { MealPromise } from '@/core/model/meal';
import type { PackageState, Wrap } from '@/core/model/history';
import type { StockRow } from '@/core/stock/stockRow';
import type { AmountUnit } from '@/core/units/sayAmount';
import { fromJson, type Sql } from './database';

/** A row as it is stored: whether it is hands off depends on the day. */
export interface StoredRow extends StockRow {
  /** The day up to which nobody takes it unasked; `null`: for good. */
  handsOffUntil: string | null;
  promised: MealPromise[];
}

interface Row {
  id: string;
  here: number;
  code: string;
  lot_id: string;
  food_id: string;
  called: string;
  amount: number;
  unit: AmountUnit;
  zone_id: string | null;
  state: PackageState;
  opened: number;
  start_on: string;
  use_by: string | null;
  best_by: string;
  governing_date: string;
  quality: number;
  condemned: number;
  counter_minutes: number | string | null;
  counter_since: string | null;
  spoils: string | null;
  first_out: string;
  version: number;
  wrap: Wrap | null;
  price: string | null;
  labelled: string | null;
  note: string | null;
  photo: string | null;
  whose: string | null;
  hands_off: string | null;
  hands_off_until: string | null;
  promised: unknown;
}

const toRow = (row: Row): StoredRow => ({
  id: row.id,
  code: row.code,
  lotId: row.lot_id,
  foodId: row.food_id,
  called: row.called,
  amount: row.amount,
  unit: row.unit,
  wrap: row.wrap,
  zoneId: row.zone_id,
  state: row.state,
  opened: row.opened === 1,
  startOn: row.start_on,
  useBy: row.use_by,
  bestBy: row.best_by,
  governingDate: row.governing_date,
  governingKind: row.quality === 1 ? 'best-by' : 'use-by',
  condemned: row.condemned === 1,
  counterMinutes: Number(row.counter_minutes ?? 0),
  counterSince: row.counter_since,
  ...(row.spoils === null ? {} : { spoils: true }),
  priceMinor: row.price === null ? null : Number(row.price),
  hasLabel: row.labelled !== null,
  note: row.note ?? '',
  photo: row.photo,
  whose: row.whose ?? '',
  handsOff: row.hands_off === '1' || row.hands_off === 'true',
  handsOffUntil: row.hands_off_until,
  promised: row.promised === null ? [] : fromJson<MealPromise[]>(row.promised),
  firstOut: row.first_out,
  version: row.version,
});

/** The last thing that happened in a household; what is read after it knows at least that. */
export async function readLastEvent(sql: Sql, householdId: number): Promise<number> {
  const [row] = await sql.rows<{ last: number | string | null }>(
    `SELECT MAX(event.id) AS last
       FROM ledger_event AS event
      WHERE event.household_id = :householdId`,
    { householdId },
  );
  return Number(row?.last ?? 0);
}

/** Packages to which something happened after an event, and the last event of them (EXPLAIN: range over the primary key). */
export async function readHappenedSince(
  sql: Sql,
  householdId: number,
  event: number,
): Promise<{ packages: string[]; last: number }> {
  const rows = await sql.rows<{ id: number | string; package_id: string }>(
    `SELECT id, package_id
       FROM ledger_event
      WHERE id > :event
        AND household_id = :householdId
      ORDER BY id`,
    { householdId, event },
  );
  return {
    packages: [...new Set(rows.map((row) => row.package_id))],
    last: Number(rows.at(-1)?.id ?? event),
  };
}

/** What is here as rows; of some packages only, when ids are given. */
export async function readRows(
  sql: Sql,
  householdId: number,
  ids: readonly string[] | null,
): Promise<StoredRow[]> {
  if (ids?.length === 0) return [];
  const rows = await sql.rows<Row>(
    `SELECT id, here, code, lot_id, food_id, called, amount, unit, zone_id, state, opened, start_on, use_by, best_by,
            governing_date, quality, condemned, first_out, version,
            JSON_VALUE(image, '$.wrap') AS wrap,
            JSON_VALUE(image, '$.priceMinor') AS price,
            JSON_VALUE(image, '$.labelled') AS labelled,
            JSON_VALUE(image, '$.counterMinutes') AS counter_minutes,
            JSON_VALUE(image, '$.counterSince') AS counter_since,
            JSON_VALUE(image, '$.spoils') AS spoils,
            JSON_VALUE(image, '$.note') AS note,
            JSON_VALUE(image, '$.photo') AS photo,
            JSON_VALUE(image, '$.keptFor.whose') AS whose,
            JSON_VALUE(image, '$.keptFor.handsOff') AS hands_off,
            JSON_VALUE(image, '$.keptFor.on') AS hands_off_until,
            JSON_EXTRACT(image, '$.promised') AS promised
       FROM package
      WHERE household_id = :householdId
        AND here = TRUE
        ${ids === null ? '' : 'AND id IN (:ids)'}`,
    { householdId, ids },
  );
  return rows.map(toRow);
}
