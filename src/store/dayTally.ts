import type { Sql } from './database';

/** The columns a package is tallied by. */
const TALLIED = `household_id, ask_on, governing_date, best_by, COALESCE(zone_id, ''), quality, condemned,
                 state = 'frozen'`;

/**
 * Adds packages to the tally of days, or takes them off it: before they are written with −1, after it with 1, in the same
 * transaction. Those that are gone do not count.
 */
export async function tallyPackages(
  sql: Sql,
  householdId: number,
  ids: readonly string[],
  sign: 1 | -1,
): Promise<void> {
  if (ids.length === 0) return;
  await sql.run(
    `INSERT INTO day_tally (household_id, ask_on, governing_date, best_by, zone_id, quality, condemned, frozen,
                            packages)
     SELECT ${TALLIED}, :sign * COUNT(*)
       FROM package
      WHERE household_id = :householdId
        AND id IN (:ids)
        AND here = TRUE
      GROUP BY ${TALLIED}
         ON DUPLICATE KEY
     UPDATE packages = packages + VALUES(packages)`,
    { householdId, ids, sign },
  );
}

/** Takes days off the tally that nothing stands on any more. */
export async function sweepTally(sql: Sql, householdId: number): Promise<void> {
  await sql.run(`DELETE FROM day_tally WHERE household_id = :householdId AND packages = 0`, { householdId });
}

/** Counts the whole tally of a household again. */
export async function renewTally(sql: Sql, householdId: number): Promise<void> {
  await sql.run(`DELETE FROM day_tally WHERE household_id = :householdId`, { householdId });
  await sql.run(
    `INSERT INTO day_tally (household_id, ask_on, governing_date, best_by, zone_id, quality, condemned, frozen,
                            packages)
     SELECT ${TALLIED}, COUNT(*)
       FROM package
      WHERE household_id = :householdId
        AND here = TRUE
      GROUP BY ${TALLIED}`,
    { householdId },
  );
}
