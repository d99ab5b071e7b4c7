import type { Package } from '@/core/model/package';
import { fromJson, type Sql, toSqlInstant } from './database';

const toPackage = (row: { image: unknown }): Package => fromJson<Package>(row.image);

async function packagesById(
  sql: Sql,
  householdId: number,
  ids: readonly string[],
  locking: '' | 'FOR UPDATE',
): Promise<Map<string, Package>> {
  if (ids.length === 0) return new Map();
  const rows = await sql.rows<{ image: unknown }>(
    `SELECT image
       FROM package
      WHERE household_id = :householdId
        AND id IN (:ids)
      ORDER BY id
      ${locking}`,
    { householdId, ids: [...ids].sort() },
  );
  return new Map(rows.map(toPackage).map((found) => [found.id, found]));
}

/** The packages with these ids, locked until the transaction ends. */
export const lockPackages = (sql: Sql, householdId: number, ids: readonly string[]) =>
  packagesById(sql, householdId, ids, 'FOR UPDATE');

/** Packages by id, whatever became of them. */
export const readPackages = (sql: Sql, householdId: number, ids: readonly string[]) =>
  packagesById(sql, householdId, ids, '');

/** The package that carries a code, or carried it before it was relabelled. */
export async function readPackageByCode(
  sql: Sql,
  householdId: number,
  code: string,
): Promise<Package | null> {
  const [row] = await sql.rows<{ image: unknown }>(
    `SELECT image
       FROM package
      WHERE household_id = :householdId
        AND id = COALESCE(
              (SELECT id FROM package WHERE household_id = :householdId AND code = :code),
              (SELECT package_id FROM old_code WHERE household_id = :householdId AND code = :code))`,
    { householdId, code },
  );
  return row ? toPackage(row) : null;
}

/**
 * Everything in the store in first-out order, from the index `package_first_out` alone (EXPLAIN: range, no filesort).
 *
 * @param limit at most so many
 */
export async function readFirstOut(sql: Sql, householdId: number, limit: number): Promise<Package[]> {
  const rows = await sql.rows<{ image: unknown }>(
    `SELECT image
       FROM package
      WHERE household_id = :householdId
        AND here = TRUE
      ORDER BY first_out
      LIMIT :limit`,
    { householdId, limit },
  );
  return rows.map(toPackage);
}

/** More than anybody has room for. */
const MOST_ON_COUNTER = 200;

/** What is out of the cold for now, at most 200. */
export async function readOnCounter(sql: Sql, householdId: number): Promise<Package[]> {
  const rows = await sql.rows<{ image: unknown }>(
    `SELECT image
       FROM package
      WHERE household_id = :householdId
        AND here = TRUE
        AND zone_id IS NULL
        AND state <> 'room'
      ORDER BY first_out
      LIMIT :limit`,
    { householdId, limit: MOST_ON_COUNTER },
  );
  return rows.map(toPackage);
}

export interface StockFilter {
  foodIds: readonly string[] | null;
  zoneId: string | null;
  state: string | null;
  /** The `first_out` of the last one seen. */
  after: string | null;
  limit: number;
}

/** One page of the stock in first-out order, after a key. */
export async function readStock(sql: Sql, householdId: number, filter: StockFilter): Promise<Package[]> {
  if (filter.foodIds !== null && filter.foodIds.length === 0) return [];
  const where = [
    filter.foodIds === null ? '' : 'AND food_id IN (:foodIds)',
    filter.zoneId === null ? '' : 'AND zone_id = :zoneId',
    filter.state === null ? '' : 'AND state = :state',
    filter.after === null ? '' : 'AND first_out > :after',
  ].join(' ');
  const rows = await sql.rows<{ image: unknown }>(
    `SELECT image
       FROM package
      WHERE household_id = :householdId
        AND here = TRUE
        ${where}
      ORDER BY first_out
      LIMIT :limit`,
    { householdId, ...filter },
  );
  return rows.map(toPackage);
}

/** Packages of some foods that are in the store, locked; all of them when `foodIds` is null. */
export async function lockPackagesOf(
  sql: Sql,
  householdId: number,
  foodIds: readonly string[] | null,
): Promise<Package[]> {
  const rows = await sql.rows<{ image: unknown }>(
    `SELECT image
       FROM package
      WHERE household_id = :householdId
        AND here = TRUE
        ${foodIds === null ? '' : 'AND food_id IN (:foodIds)'}
      ORDER BY first_out
        FOR UPDATE`,
    { householdId, foodIds: foodIds === null || foodIds.length > 0 ? foodIds : [''] },
  );
  return rows.map(toPackage);
}

/** What lies in some zones, locked until the transaction ends. */
export async function lockPackagesIn(
  sql: Sql,
  householdId: number,
  zoneIds: readonly string[],
): Promise<Package[]> {
  if (zoneIds.length === 0) return [];
  const rows = await sql.rows<{ image: unknown }>(
    `SELECT image
       FROM package
      WHERE household_id = :householdId
        AND zone_id IN (:zoneIds)
        AND here = TRUE
      ORDER BY first_out
        FOR UPDATE`,
    { householdId, zoneIds },
  );
  return rows.map(toPackage);
}

export async function readPackagesByCodes(
  sql: Sql,
  householdId: number,
  codes: readonly string[],
): Promise<Package[]> {
  if (codes.length === 0) return [];
  const rows = await sql.rows<{ image: unknown }>(
    `SELECT image
       FROM package
      WHERE household_id = :householdId
        AND code IN (:codes)`,
    { householdId, codes },
  );
  return rows.map(toPackage);
}

/** Packages that were frozen or came in frozen since an instant and are still in the store. */
export async function readFrozenSince(sql: Sql, householdId: number, since: string): Promise<Package[]> {
  const rows = await sql.rows<{ image: unknown }>(
    `SELECT DISTINCT package.id, package.image
       FROM command
       JOIN ledger_event AS event ON event.household_id = command.household_id AND event.command_id = command.id
       JOIN package ON package.id = event.package_id
      WHERE command.household_id = :householdId
        AND command.recorded_at >= :since
        AND event.type IN ('package.frozen', 'package.stored')
        AND package.here = TRUE
        AND package.state = 'frozen'`,
    { householdId, since: toSqlInstant(since) },
  );
  return rows.map(toPackage);
}
