import { type Sql, toSqlInstant } from './database';

/** Keeps a photo under its id. */
export async function addPhoto(
  sql: Sql,
  householdId: number,
  photo: { id: string; keptAt: string; jpeg: Buffer },
): Promise<void> {
  await sql.run(
    `INSERT INTO photo (id, household_id, kept_at, jpeg)
     VALUES (:id, :householdId, :keptAt, :jpeg)`,
    { ...photo, householdId, keptAt: toSqlInstant(photo.keptAt) },
  );
}

/** The bytes of a photo; `null`: there is none. */
export async function readPhoto(sql: Sql, householdId: number, id: string): Promise<Buffer | null> {
  const [row] = await sql.rows<{ jpeg: Buffer }>(
    `SELECT jpeg
       FROM photo
      WHERE household_id = :householdId
        AND id = :id`,
    { householdId, id },
  );
  return row?.jpeg ?? null;
}

/** How many photos a household keeps. */
export async function countPhotos(sql: Sql, householdId: number): Promise<number> {
  const [row] = await sql.rows<{ photos: number }>(
    `SELECT COUNT(*) AS photos FROM photo WHERE household_id = :householdId`,
    { householdId },
  );
  return Number(row?.photos ?? 0);
}
