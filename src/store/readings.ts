import type { Measured } from '@/core/ledger/setting';
import { type Sql, toSqlInstant } from './database';

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
  if (!measured) return;
  await sql.run(
    `INSERT INTO reading (household_id, zone_id, at, celsius)
     VALUES (:householdId, :zoneId, :at, :celsius)
         ON DUPLICATE KEY
     UPDATE celsius = VALUES(celsius)`,
    { householdId, zoneId, celsius, at },
  );
}
