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

const CODES_ASKED = 500;

/** Of what package a code is: one that is here, that left, or whose coming was taken back. */
export type CodeHolder = 'here' | 'gone' | 'undone';

/** Those of the codes that are on a label of a package of the household, or were. */
export async function codesSpent(
  sql: Sql,
  householdId: number,
  codes: readonly string[],
): Promise<Map<string, CodeHolder>> {
  const spent = new Map<string, CodeHolder>();
  for (let at = 0; at < codes.length; at += CODES_ASKED) {
    const rows = await sql.rows<{ code: string; holder: CodeHolder }>(
      `SELECT told.code,
              IF(package.here, 'here', IF(JSON_VALUE(package.image, '$.gone.how') = 'undone', 'undone', 'gone')) AS holder
         FROM (SELECT code, id
                 FROM package
                WHERE household_id = :householdId AND code IN (:asked)
               UNION ALL
               SELECT code, package_id
                 FROM old_code
                WHERE household_id = :householdId AND code IN (:asked)) AS told
         JOIN package
           ON package.household_id = :householdId
          AND package.id = told.id`,
      { householdId, asked: codes.slice(at, at + CODES_ASKED) },
    );
    for (const { code, holder } of rows) spent.set(code, holder);
  }
  return spent;
}

/** Numbers up to this one are spent: their codes are on labels. The row stays locked until the transaction ends. */
export async function passCodeNumber(sql: Sql, householdId: number, number: number): Promise<void> {
  await sql.run(`UPDATE household SET next_code = GREATEST(next_code, :next) WHERE id = :householdId`, {
    householdId,
    next: number + 1,
  });
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
