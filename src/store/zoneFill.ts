import type { Package } from '@/core/model/package';
import { fromJson, type Sql } from './database';
import type { StoredPackage } from './putPackages';

/** Counts what lies in these zones again: packages and litres. */
export async function renewZoneFill(
  sql: Sql,
  householdId: number,
  zoneIds: readonly string[],
): Promise<void> {
  for (const zoneId of zoneIds) {
    await sql.run(
      `INSERT INTO zone_fill (household_id, zone_id, packages, litres)
       SELECT :householdId, :zoneId, COUNT(*), COALESCE(SUM(litres), 0)
         FROM package
        WHERE household_id = :householdId
          AND zone_id = :zoneId
          AND here = TRUE
           ON DUPLICATE KEY
       UPDATE packages = VALUES(packages), litres = VALUES(litres)`,
      { householdId, zoneId },
    );
  }
}

/** Writes new days for Today and for asking; the image stays as it is. */
export async function putAskDays(
  sql: Sql,
  householdId: number,
  id: string,
  days: Pick<StoredPackage, 'nearOn' | 'askOn'>,
): Promise<void> {
  await sql.run(
    `UPDATE package
        SET near_on = :nearOn, ask_on = :askOn
      WHERE household_id = :householdId
        AND id = :id`,
    { householdId, id, ...days },
  );
}

/** Packages that a newer schema has not measured yet, with their household. */
export async function readUnmeasured(
  sql: Sql,
  limit: number,
): Promise<{ householdId: number; image: Package }[]> {
  const rows = await sql.rows<{ household_id: number; image: unknown }>(
    `SELECT household_id, image
       FROM package
      WHERE litres IS NULL
      LIMIT :limit`,
    { limit },
  );
  return rows.map((row) => ({ householdId: row.household_id, image: fromJson<Package>(row.image) }));
}
