import type { Haul, HaulLine, LearnedCode } from '@/core/model/haul';
import { fromJson, type Sql, toSqlInstant } from './database';

/** A haul by id; `null`: there is none in this household. */
export async function readHaul(sql: Sql, householdId: number, id: string): Promise<Haul | null> {
  const [row] = await sql.rows<{ haul: unknown }>(
    `SELECT haul
       FROM haul
      WHERE household_id = :householdId
        AND id = :id`,
    { householdId, id },
  );
  return row ? fromJson<Haul>(row.haul) : null;
}

/** The haul that is open, the newest where a version before 0.5 left several; `null`: none (EXPLAIN: ref over haul_open). */
export async function readOpenHaul(sql: Sql, householdId: number): Promise<Haul | null> {
  const [row] = await sql.rows<{ haul: unknown }>(
    `SELECT haul
       FROM haul
      WHERE household_id = :householdId
        AND closed_at IS NULL
      ORDER BY begun_at DESC
      LIMIT 1`,
    { householdId },
  );
  return row ? fromJson<Haul>(row.haul) : null;
}

/** The newest hauls of a household (EXPLAIN: ref over haul_by_begin, no sorting). */
export async function readLatestHauls(sql: Sql, householdId: number, limit: number): Promise<Haul[]> {
  const rows = await sql.rows<{ haul: unknown }>(
    `SELECT haul
       FROM haul
      WHERE household_id = :householdId
      ORDER BY begun_at DESC
      LIMIT :limit`,
    { householdId, limit },
  );
  return rows.map(({ haul }) => fromJson<Haul>(haul));
}

/** The lines of a haul in the order they were told. */
export async function readHaulLines(sql: Sql, householdId: number, haulId: string): Promise<HaulLine[]> {
  const rows = await sql.rows<{ line: unknown }>(
    `SELECT line
       FROM haul_line
      WHERE household_id = :householdId
        AND haul_id = :haulId
      ORDER BY position, id`,
    { householdId, haulId },
  );
  return rows.map(({ line }) => fromJson<HaulLine>(line));
}

/** Lines by id, locked until the transaction ends. */
export async function lockHaulLines(
  sql: Sql,
  householdId: number,
  ids: readonly string[],
): Promise<HaulLine[]> {
  if (ids.length === 0) return [];
  const rows = await sql.rows<{ line: unknown }>(
    `SELECT line
       FROM haul_line
      WHERE household_id = :householdId
        AND id IN (:ids)
        FOR UPDATE`,
    { householdId, ids },
  );
  return rows.map(({ line }) => fromJson<HaulLine>(line));
}

/** Lines of the open haul that are not packed yet, with the heat they stand in (EXPLAIN: ref over haul_open). */
export async function readBenchLines(
  sql: Sql,
  householdId: number,
): Promise<{ line: HaulLine; hot: boolean }[]> {
  const rows = await sql.rows<{ line: unknown; haul: unknown }>(
    `SELECT haul_line.line, haul.haul
       FROM haul
       JOIN haul_line ON haul_line.household_id = haul.household_id AND haul_line.haul_id = haul.id
      WHERE haul.household_id = :householdId
        AND haul.closed_at IS NULL
        AND haul_line.packed = 0`,
    { householdId },
  );
  return rows.map(({ line, haul }) => ({ line: fromJson<HaulLine>(line), hot: fromJson<Haul>(haul).hot }));
}

/** The line of each food that was packed last: how it is split as a rule. */
export async function readLastPacked(
  sql: Sql,
  householdId: number,
  foodIds: readonly string[],
): Promise<Map<string, HaulLine>> {
  if (foodIds.length === 0) return new Map();
  const rows = await sql.rows<{ line: unknown }>(
    `SELECT haul_line.line
       FROM haul_line
       JOIN haul ON haul.household_id = haul_line.household_id AND haul.id = haul_line.haul_id
      WHERE haul_line.household_id = :householdId
        AND haul_line.food_id IN (:foodIds)
        AND haul_line.packed = 1
      ORDER BY haul.begun_at DESC, haul_line.position DESC
      LIMIT 400`,
    { householdId, foodIds },
  );
  const last = new Map<string, HaulLine>();
  for (const { line } of rows) {
    const found = fromJson<HaulLine>(line);
    if (!last.has(found.food)) last.set(found.food, found);
  }
  return last;
}

/** Adds or renews a haul; `null` takes it out. */
export async function putHaul(sql: Sql, householdId: number, id: string, haul: Haul | null): Promise<void> {
  if (haul === null) {
    await sql.run(`DELETE FROM haul WHERE household_id = :householdId AND id = :id`, { householdId, id });
    return;
  }
  await sql.run(
    `INSERT INTO haul (id, household_id, begun_at, closed_at, haul)
     VALUES (:id, :householdId, :begunAt, :closedAt, :haul)
         ON DUPLICATE KEY
     UPDATE closed_at = VALUES(closed_at), haul = VALUES(haul)`,
    {
      id,
      householdId,
      begunAt: toSqlInstant(haul.begunAt),
      closedAt: haul.closedAt === null ? null : toSqlInstant(haul.closedAt),
      haul: JSON.stringify(haul),
    },
  );
}

/** Adds or renews a line; `null` takes it out. */
export async function putHaulLine(
  sql: Sql,
  householdId: number,
  id: string,
  line: HaulLine | null,
): Promise<void> {
  if (line === null) {
    await sql.run(`DELETE FROM haul_line WHERE household_id = :householdId AND id = :id`, {
      householdId,
      id,
    });
    return;
  }
  await sql.run(
    `INSERT INTO haul_line (id, household_id, haul_id, position, food_id, packed, line)
     VALUES (:id, :householdId, :haul, :position, :food, :packed, :line)
         ON DUPLICATE KEY
     UPDATE position = VALUES(position), food_id = VALUES(food_id), packed = VALUES(packed), line = VALUES(line)`,
    {
      id,
      householdId,
      haul: line.haul,
      position: line.position,
      food: line.food,
      packed: line.packages === null ? 0 : 1,
      line: JSON.stringify(line),
    },
  );
}

/** What a code stands for in this household; `null`: nobody told yet. */
export async function readCode(sql: Sql, householdId: number, code: string): Promise<LearnedCode | null> {
  const [row] = await sql.rows<{ means: unknown }>(
    `SELECT means
       FROM learned_code
      WHERE household_id = :householdId
        AND code = :code`,
    { householdId, code },
  );
  return row ? fromJson<LearnedCode>(row.means) : null;
}

/** Learns a code, or forgets it with `null`. */
export async function putCode(
  sql: Sql,
  householdId: number,
  code: string,
  means: LearnedCode | null,
): Promise<void> {
  if (means === null) {
    await sql.run(`DELETE FROM learned_code WHERE household_id = :householdId AND code = :code`, {
      householdId,
      code,
    });
    return;
  }
  await sql.run(
    `INSERT INTO learned_code (household_id, code, means)
     VALUES (:householdId, :code, :means)
         ON DUPLICATE KEY
     UPDATE means = VALUES(means)`,
    { householdId, code, means: JSON.stringify(means) },
  );
}
