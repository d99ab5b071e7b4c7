import type { Package } from '@/core/model/package';
import type { PackageState } from '@/core/model/history';
import type { AmountUnit } from '@/core/units/sayAmount';
import { fromJson, type Sql } from './database';

/** Part of the kitchen: zones, or everything (the counter too) when null. */
export interface Scope {
  zoneIds: readonly string[] | null;
}

const inScope = ({ zoneIds }: Scope): string => (zoneIds === null ? '' : 'AND zone_id IN (:zoneIds)');
const zonesOf = ({ zoneIds }: Scope): readonly string[] => (zoneIds?.length ? zoneIds : ['']);

async function readIds(sql: Sql, statement: string, values: Record<string, unknown>): Promise<string[]> {
  const rows = await sql.rows<{ id: string }>(statement, values);
  return rows.map(({ id }) => id);
}

/** Packages by id, in first-out order. */
async function readByIds(sql: Sql, householdId: number, ids: readonly string[]): Promise<Package[]> {
  if (ids.length === 0) return [];
  const rows = await sql.rows<{ id: string; image: unknown }>(
    `SELECT id, image
       FROM package
      WHERE household_id = :householdId
        AND id IN (:ids)`,
    { householdId, ids },
  );
  const found = new Map(rows.map((row) => [row.id, fromJson<Package>(row.image)]));
  return ids.flatMap((id) => found.get(id) ?? []);
}

/** What asks for an answer, first out first (EXPLAIN: range over package_asks, the ids alone are sorted). */
export async function readAsking(
  sql: Sql,
  householdId: number,
  { today, after, limit, ...scope }: Scope & { today: string; after: string | null; limit: number },
): Promise<Package[]> {
  const ids = await readIds(
    sql,
    `SELECT id
       FROM package
      WHERE household_id = :householdId
        AND here = TRUE
        AND ask_on <= :today
        ${after === null ? '' : 'AND first_out > :after'}
        ${inScope(scope)}
      ORDER BY first_out
      LIMIT :limit`,
    { householdId, today, after, limit, zoneIds: zonesOf(scope) },
  );
  return readByIds(sql, householdId, ids);
}

interface Told extends Scope {
  today: string;
  limit: number;
}

/** What does not ask today, as far as `which` says, first out first (EXPLAIN: range over package_answered). */
async function readQuiet(
  sql: Sql,
  householdId: number,
  { today, limit, ...scope }: Told,
  which: string,
): Promise<Package[]> {
  const ids = await readIds(
    sql,
    `SELECT id
       FROM package
      WHERE household_id = :householdId
        AND here = TRUE
        AND ask_on > :today
        AND ${which}
        ${inScope(scope)}
      ORDER BY first_out
      LIMIT :limit`,
    { householdId, today, limit, zoneIds: zonesOf(scope) },
  );
  return readByIds(sql, householdId, ids);
}

/** What is near its date and has had its answer. */
export const readAnswered = (sql: Sql, householdId: number, told: Told): Promise<Package[]> =>
  readQuiet(sql, householdId, told, 'answered = TRUE AND near_on <= :today');

/** What had an answer that still stands, near its date or not. */
export const readPlanned = (sql: Sql, householdId: number, told: Told): Promise<Package[]> =>
  readQuiet(sql, householdId, told, 'answered = TRUE');

/** What comes near its date and does not ask yet, of what is frozen or of the rest. */
export const readComing = (
  sql: Sql,
  householdId: number,
  { frozen, ...told }: Told & { frozen: boolean },
): Promise<Package[]> =>
  readQuiet(
    sql,
    householdId,
    told,
    `answered = FALSE AND near_on <= :today AND ${frozen ? "state = 'frozen'" : "state <> 'frozen'"}`,
  );

/** What is near its date by how it stands, and what else Today tells as a number. */
export interface NearCounts {
  asking: number;
  answered: number;
  tonight: number;
  soon: number;
  look: number;
  discard: number;
  thawing: number;
  /** Outside every zone: on the counter, or kept out by design. */
  outside: number;
  /** Dates that went by with no answer. */
  passed: number;
}

/**
 * All that Today counts, in one statement: of each part EXPLAIN shows a range or a reference of an index. What is near
 * comes from the tally of days, whose length does not grow with the packages.
 *
 * @param since from this day on what passed without an answer is counted
 */
export async function countToday(
  sql: Sql,
  householdId: number,
  { today, soonUntil, since, ...scope }: Scope & { today: string; soonUntil: string; since: string },
): Promise<NearCounts> {
  const [row] = await sql.rows<Record<keyof NearCounts, string | number | null>>(
    `SELECT asking.asking, answered.answered, due.tonight, due.soon, due.look, due.discard,
            thawing.thawing, outside.outside, written.count + open.count AS passed
       FROM (SELECT SUM(packages) AS asking
               FROM day_tally
              WHERE household_id = :householdId
                AND ask_on <= :today
                ${inScope(scope)}) AS asking
       JOIN (SELECT COUNT(*) AS answered
               FROM package
              WHERE household_id = :householdId
                AND here = TRUE
                AND answered = TRUE
                AND ask_on > :today
                AND near_on <= :today
                ${inScope(scope)}) AS answered
       JOIN (SELECT SUM(packages * (NOT condemned AND governing_date = :today AND best_by >= :today)) AS tonight,
                    SUM(packages * (NOT condemned AND NOT frozen AND governing_date > :today)) AS soon,
                    SUM(packages * (NOT condemned AND best_by < :today AND (quality OR governing_date >= :today)))
                      AS look,
                    SUM(packages * (condemned OR (NOT quality AND governing_date < :today))) AS discard
               FROM day_tally
              WHERE household_id = :householdId
                AND governing_date <= :soonUntil
                ${inScope(scope)}) AS due
       JOIN (SELECT COUNT(*) AS thawing
               FROM package
              WHERE household_id = :householdId
                AND here = TRUE
                AND state = 'thawing'
                ${inScope(scope)}) AS thawing
       JOIN (SELECT COUNT(*) AS outside
               FROM package
              WHERE household_id = :householdId
                AND zone_id IS NULL
                AND here = TRUE) AS outside
       JOIN (SELECT COUNT(*) AS count
               FROM passing
              WHERE household_id = :householdId
                AND passed_on >= :since) AS written
       JOIN (SELECT COUNT(*) AS count
               FROM package
              WHERE household_id = :householdId
                AND here = TRUE
                AND passing_open = TRUE
                AND governing_date >= :since
                AND governing_date < :today) AS open`,
    { householdId, today, soonUntil, since, zoneIds: zonesOf(scope) },
  );
  const count = (key: keyof NearCounts): number => Number(row?.[key] ?? 0);
  return {
    asking: count('asking'),
    answered: count('answered'),
    tonight: count('tonight'),
    soon: count('soon'),
    look: count('look'),
    discard: count('discard'),
    thawing: count('thawing'),
    outside: count('outside'),
    passed: count('passed'),
  };
}

/** Packages that thaw now (EXPLAIN: ref over package_state). */
export async function readThawing(sql: Sql, householdId: number, limit: number): Promise<Package[]> {
  const ids = await readIds(
    sql,
    `SELECT id
       FROM package
      WHERE household_id = :householdId
        AND here = TRUE
        AND state = 'thawing'
      ORDER BY first_out
      LIMIT :limit`,
    { householdId, limit },
  );
  return readByIds(sql, householdId, ids);
}

/** A package as the drawing needs it. */
export interface DrawnPackage {
  id: string;
  code: string;
  version: number;
  called: string;
  amount: number;
  unit: AmountUnit;
  state: PackageState;
  governingDate: string;
  zoneId: string;
}

/** The first few of every zone, first out (EXPLAIN: ref over package_drawn alone, once a zone). */
export async function readDrawn(
  sql: Sql,
  householdId: number,
  zoneIds: readonly string[],
  each: number,
): Promise<DrawnPackage[]> {
  if (zoneIds.length === 0) return [];
  const one = zoneIds.map(
    (
      _,
      at,
    ) => `(SELECT id, code, version, called, amount, unit, state, governing_date AS governingDate, zone_id AS zoneId
        FROM package
       WHERE household_id = :householdId
         AND zone_id = :zone${at}
         AND here = TRUE
       ORDER BY first_out
       LIMIT :each)`,
  );
  return sql.rows<DrawnPackage>(one.join('\nUNION ALL\n'), {
    householdId,
    each,
    ...Object.fromEntries(zoneIds.map((id, at) => [`zone${at}`, id])),
  });
}

/** Grams (and millilitres) that lie in each zone; what is counted in pieces is left out. */
export async function readMasses(sql: Sql, householdId: number): Promise<ReadonlyMap<string, number>> {
  const rows = await sql.rows<{ zone_id: string; grams: string }>(
    `SELECT zone_id, SUM(amount) AS grams
       FROM package
      WHERE household_id = :householdId
        AND zone_id IS NOT NULL
        AND here = TRUE
        AND unit <> 'pc'
      GROUP BY zone_id`,
    { householdId },
  );
  return new Map(rows.map(({ zone_id, grams }) => [zone_id, Number(grams)]));
}

/** Packages and litres by zone, as last counted. */
export async function readFills(
  sql: Sql,
  householdId: number,
): Promise<Map<string, { packages: number; litres: number }>> {
  const rows = await sql.rows<{ zone_id: string; packages: number; litres: string }>(
    `SELECT zone_id, packages, litres
       FROM zone_fill
      WHERE household_id = :householdId`,
    { householdId },
  );
  return new Map(rows.map((row) => [row.zone_id, { packages: row.packages, litres: Number(row.litres) }]));
}

/** How many lie outside every zone: on the counter, or kept out by design (EXPLAIN: ref over package_in_zone). */
export async function countOutside(sql: Sql, householdId: number): Promise<number> {
  const [row] = await sql.rows<{ count: number }>(
    `SELECT COUNT(*) AS count
       FROM package
      WHERE household_id = :householdId
        AND zone_id IS NULL
        AND here = TRUE`,
    { householdId },
  );
  return Number(row?.count ?? 0);
}
