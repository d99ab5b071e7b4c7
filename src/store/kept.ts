import { KEPT_KINDS, type Kept, type KeptKind, type KeptSetting } from '@/core/model/kept';
import { fromJson, type Sql } from './database';

/** The small things of some kinds that a household keeps, by kind and subject. */
export type KeptThings = { [K in KeptKind]: ReadonlyMap<string, Kept[K]> };

interface KeptRow {
  kind: KeptKind;
  subject: string;
  value: unknown;
}

async function readUnder(
  sql: Sql,
  householdId: number,
  kind: KeptKind,
  subjects: readonly string[],
): Promise<KeptRow[]> {
  if (subjects.length === 0) return [];
  return sql.rows<KeptRow>(
    `SELECT kind, subject, value
       FROM kept
      WHERE household_id = :householdId
        AND kind = :kind
        AND subject IN (:subjects)
      ORDER BY subject`,
    { householdId, kind, subjects },
  );
}

/** Reads what a household keeps of these kinds; `under`: of a kind only what is kept under these subjects. */
export async function readKept(
  sql: Sql,
  householdId: number,
  kinds: readonly KeptKind[],
  under: Partial<Record<KeptKind, readonly string[]>> = {},
): Promise<KeptThings> {
  const rows =
    kinds.length === 0
      ? []
      : await sql.rows<KeptRow>(
          `SELECT kind, subject, value
             FROM kept
            WHERE household_id = :householdId
              AND kind IN (:kinds)
            ORDER BY kind, subject`,
          { householdId, kinds },
        );
  for (const [kind, subjects = []] of Object.entries(under))
    rows.push(...(await readUnder(sql, householdId, kind as KeptKind, subjects)));
  const of = (kind: KeptKind) =>
    new Map(rows.filter((row) => row.kind === kind).map(({ subject, value }) => [subject, fromJson(value)]));
  return Object.fromEntries(KEPT_KINDS.map((kind) => [kind, of(kind)])) as unknown as KeptThings;
}

/** Writes one; `null` takes it out. */
export async function putKept(
  sql: Sql,
  householdId: number,
  { kind, subject, value }: KeptSetting,
): Promise<void> {
  if (value === null) {
    await sql.run(
      `DELETE FROM kept WHERE household_id = :householdId AND kind = :kind AND subject = :subject`,
      {
        householdId,
        kind,
        subject,
      },
    );
    return;
  }
  await sql.run(
    `INSERT INTO kept (household_id, kind, subject, value)
     VALUES (:householdId, :kind, :subject, :value)
         ON DUPLICATE KEY
     UPDATE value = VALUES(value)`,
    { householdId, kind, subject, value: JSON.stringify(value) },
  );
}
