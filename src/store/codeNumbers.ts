import type { Sql } from './database';

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

/** How many package codes a household has spent. */
export async function readNextCode(sql: Sql, householdId: number): Promise<number> {
  const [row] = await sql.rows<{ next_code: number }>(
    `SELECT next_code FROM household WHERE id = :householdId`,
    {
      householdId,
    },
  );
  return row?.next_code ?? 0;
}

/** Says how many package codes are spent, for a household that comes in whole. */
export async function putNextCode(sql: Sql, householdId: number, nextCode: number): Promise<void> {
  await sql.run(`UPDATE household SET next_code = :nextCode WHERE id = :householdId`, {
    householdId,
    nextCode,
  });
}
