import { fromJson, fromSqlInstant, isDuplicate, type Sql, toSqlInstant } from './database';

/** A command as it is written down. */
export interface CommandRecord {
  id: string;
  type: string;
  digest: string;
  at: string;
  recordedAt: string;
  note: string;
  /** Who told it, as chosen on the device; `null`: nobody said. */
  toldBy: string | null;
  /** The member who told it, where keys are asked for. */
  memberId: string | null;
}

/** Who told a command, by the key she holds; `null`: nobody, or there is no such command. */
export async function readTeller(sql: Sql, householdId: number, id: string): Promise<string | null> {
  const [row] = await sql.rows<{ member_id: string | null }>(
    `SELECT member_id
       FROM command
      WHERE household_id = :householdId
        AND id = :id`,
    { householdId, id },
  );
  return row?.member_id ?? null;
}

/** When the newest command of a household was recorded, ISO 8601; `null`: none yet. */
export async function readLastRecorded(sql: Sql, householdId: number): Promise<string | null> {
  const [row] = await sql.rows<{ recorded_at: string }>(
    `SELECT recorded_at
       FROM command
      WHERE household_id = :householdId
      ORDER BY recorded_at DESC
      LIMIT 1`,
    { householdId },
  );
  return row ? fromSqlInstant(row.recorded_at) : null;
}

/** The newest command of a household; `null`: none yet. */
export async function readLatest(
  sql: Sql,
  householdId: number,
): Promise<{ id: string; says: string; toldBy: string | null; recordedAt: string } | null> {
  const [row] = await sql.rows<{ id: string; says: string; told_by: string | null; recorded_at: string }>(
    `SELECT id, says, told_by, recorded_at
       FROM command
      WHERE household_id = :householdId
      ORDER BY recorded_at DESC, id DESC
      LIMIT 1`,
    { householdId },
  );
  return row
    ? { id: row.id, says: row.says, toldBy: row.told_by, recordedAt: fromSqlInstant(row.recorded_at) }
    : null;
}

/** When the first thing of a household happened, ISO 8601; `null`: nothing yet. */
export async function readFirstAt(sql: Sql, householdId: number): Promise<string | null> {
  const [row] = await sql.rows<{ at: string }>(
    `SELECT at
       FROM command
      WHERE household_id = :householdId
      ORDER BY recorded_at
      LIMIT 1`,
    { householdId },
  );
  return row ? fromSqlInstant(row.at) : null;
}

/**
 * Claims a command id. A second claim at the same moment waits here until the first transaction ends.
 *
 * @returns false when the id was used before
 */
export async function claimCommand(sql: Sql, householdId: number, command: CommandRecord): Promise<boolean> {
  try {
    await sql.run(
      `INSERT INTO command (id, household_id, type, digest, at, recorded_at, says, note, told_by, member_id)
       VALUES (:id, :householdId, :type, :digest, :at, :recordedAt, '', :note, :toldBy, :memberId)`,
      { ...command, householdId, at: toSqlInstant(command.at), recordedAt: toSqlInstant(command.recordedAt) },
    );
    return true;
  } catch (error) {
    if (isDuplicate(error)) return false;
    throw error;
  }
}

/** The answer given to a command the first time, with the digest of what it said. */
export async function readAnswer(
  sql: Sql,
  householdId: number,
  id: string,
): Promise<{ digest: string; response: unknown } | null> {
  const [row] = await sql.rows<{ digest: string; response: unknown }>(
    `SELECT digest, response
       FROM command
      WHERE household_id = :householdId
        AND id = :id`,
    { householdId, id },
  );
  return row ? { digest: row.digest, response: fromJson(row.response) } : null;
}

export async function finishCommand(
  sql: Sql,
  householdId: number,
  id: string,
  says: string,
  undoes: string | null,
  response: unknown,
): Promise<void> {
  await sql.run(
    `UPDATE command
        SET says = :says, undoes = :undoes, response = :response
      WHERE household_id = :householdId
        AND id = :id`,
    { householdId, id, says: says.slice(0, 400), undoes, response: JSON.stringify(response) },
  );
}

/** Marks a command undone, and what an undone undo had undone as standing again. */
export async function markUndone(sql: Sql, householdId: number, id: string, by: string): Promise<void> {
  await sql.run(
    `UPDATE command
        SET undone_by = :by
      WHERE household_id = :householdId
        AND id = :id`,
    { householdId, id, by },
  );
  await sql.run(
    `UPDATE command
        SET undone_by = NULL
      WHERE household_id = :householdId
        AND undone_by = :id`,
    { householdId, id },
  );
}
