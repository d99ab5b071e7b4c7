import type { Measured, OlderReading } from '@/core/model/setting';
import { fromSqlInstant, type Sql, toSqlInstant } from './database';

/** Keeps a reading, and what the zone was read last; `null` forgets the last one. */
export async function putMeasured(
  sql: Sql,
  householdId: number,
  zoneId: string,
  measured: Measured | null,
): Promise<void> {
  const at = measured && toSqlInstant(measured.at);
  const celsius = measured?.celsius ?? null;
  await sql.run(
    `UPDATE zone
        SET measured_c = :celsius, measured_at = :at
      WHERE household_id = :householdId
        AND id = :zoneId`,
    { householdId, zoneId, celsius, at },
  );
  if (measured) await putReading(sql, householdId, zoneId, measured);
}

/** Keeps a reading beside the others of its zone; one without °C goes. */
export async function putReading(
  sql: Sql,
  householdId: number,
  zoneId: string,
  { celsius, at }: OlderReading,
): Promise<void> {
  if (celsius === null) return dropReading(sql, householdId, zoneId, at);
  await sql.run(
    `INSERT INTO reading (household_id, zone_id, at, celsius)
     VALUES (:householdId, :zoneId, :at, :celsius)
         ON DUPLICATE KEY
     UPDATE celsius = VALUES(celsius)`,
    { householdId, zoneId, celsius, at: toSqlInstant(at) },
  );
}

/** The most readings of one zone that are looked back on. */
const MOST_READINGS = 2000;

/** What was read in some zones since an instant, oldest first. */
export async function readReadings(
  sql: Sql,
  householdId: number,
  zoneIds: readonly string[],
  since: string,
): Promise<(Measured & { zoneId: string })[]> {
  if (zoneIds.length === 0) return [];
  const rows = await sql.rows<{ zone_id: string; at: string; celsius: string }>(
    `SELECT zone_id, at, celsius
       FROM reading
      WHERE household_id = :householdId
        AND zone_id IN (:zoneIds)
        AND at >= :since
      ORDER BY at
      LIMIT ${MOST_READINGS}`,
    { householdId, zoneIds, since: toSqlInstant(since) },
  );
  return rows.map(({ zone_id, at, celsius }) => ({
    zoneId: zone_id,
    at: fromSqlInstant(at),
    celsius: Number(celsius),
  }));
}

/** Takes back one reading that turned out to be wrong. */
export async function dropReading(sql: Sql, householdId: number, zoneId: string, at: string): Promise<void> {
  await sql.run(
    `DELETE FROM reading
      WHERE household_id = :householdId
        AND zone_id = :zoneId
        AND at = :at`,
    { householdId, zoneId, at: toSqlInstant(at) },
  );
}
