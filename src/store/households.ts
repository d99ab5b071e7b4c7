import type { Caution } from '@/core/keeping/history';
import type { Sql } from './database';

export interface Household {
  id: number;
  name: string;
  timeZone: string;
  currency: string;
  caution: Caution;
}

interface HouseholdRow {
  id: number;
  name: string;
  time_zone: string;
  currency: string;
  caution: Caution;
}

const toHousehold = (row: HouseholdRow): Household => ({
  id: row.id,
  name: row.name,
  timeZone: row.time_zone,
  currency: row.currency,
  caution: row.caution,
});

/** The household with this id, or the first one when `id` is null. */
export async function readHousehold(sql: Sql, id: number | null): Promise<Household | null> {
  const [row] = await sql.rows<HouseholdRow>(
    `SELECT id, name, time_zone, currency, caution
       FROM household
      WHERE :id IS NULL
         OR id = :id
      ORDER BY id
      LIMIT 1`,
    { id },
  );
  return row ? toHousehold(row) : null;
}

export async function addHousehold(sql: Sql, household: Omit<Household, 'id'>): Promise<number> {
  const { insertId } = await sql.run(
    `INSERT INTO household (name, time_zone, currency, caution)
     VALUES (:name, :timeZone, :currency, :caution)`,
    { ...household },
  );
  return insertId;
}

/**
 * Makes the household's changes wait for each other: its row stays locked until the transaction ends. Without this two
 * hauls at once would each share the row (foreign key) and then both want it alone (codes), a deadlock every time.
 */
export async function lockHousehold(sql: Sql, householdId: number): Promise<void> {
  await sql.rows(`SELECT id FROM household WHERE id = :householdId FOR UPDATE`, { householdId });
}

/**
 * Takes the next package numbers of a household for codes that never come twice.
 *
 * @returns the first of `count` numbers; the row stays locked until the transaction ends
 */
export async function takeCodeNumbers(sql: Sql, householdId: number, count: number): Promise<number> {
  await sql.run(
    `UPDATE household
        SET next_code = LAST_INSERT_ID(next_code) + :count
      WHERE id = :householdId`,
    { householdId, count },
  );
  const [row] = await sql.rows<{ first: number }>(`SELECT LAST_INSERT_ID() AS first`);
  return Number(row?.first ?? 0);
}

/** Empties every household's tables, children first. Reference data stays. */
export async function clearHouseholds(sql: Sql): Promise<void> {
  for (const table of ['ledger_event', 'package', 'lot', 'command']) await sql.run(`DELETE FROM ${table}`);
  await sql.run(`UPDATE zone SET parent_id = NULL`);
  for (const table of ['zone', 'appliance']) await sql.run(`DELETE FROM ${table}`);
  await sql.run(`DELETE FROM food WHERE household_id IS NOT NULL`);
  await sql.run(`DELETE FROM household`);
}
