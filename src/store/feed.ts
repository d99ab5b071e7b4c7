import type { PackageState } from '@/core/model/history';
import type { AmountUnit } from '@/core/units/sayAmount';
import { fromSqlInstant, type Sql, toSqlInstant } from './database';

/** A package as the calendar and the slip tell of it. */
export interface ToldPackage {
  id: string;
  code: string;
  called: string;
  amount: number;
  unit: AmountUnit;
  state: PackageState;
  nearOn: string;
  askOn: string;
  governingDate: string;
  useBy: string | null;
  zoneId: string | null;
}

/** What comes near its date until a day, first out first (EXPLAIN: range over package_near). */
export async function readTold(
  sql: Sql,
  householdId: number,
  until: string,
  limit: number,
): Promise<ToldPackage[]> {
  return sql.rows<ToldPackage>(
    `SELECT id, code, called, amount, unit, state, near_on AS nearOn, ask_on AS askOn, governing_date AS governingDate,
            use_by AS useBy, zone_id AS zoneId
       FROM package
      WHERE household_id = :householdId
        AND here = TRUE
        AND near_on <= :until
      ORDER BY first_out
      LIMIT :limit`,
    { householdId, until, limit },
  );
}

/** A day of the calendar as it was last told. */
export interface FeedDay {
  day: string;
  sequence: number;
  digest: string;
  cancelled: boolean;
  changedAt: string;
}

/** Days told before, from a day on; locked, so that two readers do not both count on. */
export async function lockFeedDays(sql: Sql, householdId: number, from: string): Promise<FeedDay[]> {
  const rows = await sql.rows<{
    day: string;
    sequence: number;
    digest: string;
    cancelled: number;
    changed_at: string;
  }>(
    `SELECT day, sequence, digest, cancelled, changed_at
       FROM feed_day
      WHERE household_id = :householdId
        AND day >= :from
      ORDER BY day
        FOR UPDATE`,
    { householdId, from },
  );
  return rows.map(({ changed_at, cancelled, ...row }) => ({
    ...row,
    cancelled: cancelled === 1,
    changedAt: fromSqlInstant(changed_at),
  }));
}

export async function putFeedDay(sql: Sql, householdId: number, day: FeedDay): Promise<void> {
  await sql.run(
    `INSERT INTO feed_day (household_id, day, sequence, digest, cancelled, changed_at)
     VALUES (:householdId, :day, :sequence, :digest, :cancelled, :changedAt)
         ON DUPLICATE KEY
     UPDATE sequence = VALUES(sequence),
            digest = VALUES(digest),
            cancelled = VALUES(cancelled),
            changed_at = VALUES(changed_at)`,
    { householdId, ...day, changedAt: toSqlInstant(day.changedAt) },
  );
}
