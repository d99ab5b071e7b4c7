import { fromSqlInstant, type Sql, toSqlInstant } from './database';

/** How often packages of a food left a zone. */
export interface ZoneTakes {
  zoneId: string;
  foodId: string;
  times: number;
}

/** What was taken, thawed or cooked out of each zone since an instant (EXPLAIN: range over event_from_zone); undone ones left out. */
export async function readZoneTakes(sql: Sql, householdId: number, since: string): Promise<ZoneTakes[]> {
  const rows = await sql.rows<{ zone_id: string; food_id: string; times: number }>(
    `SELECT event.zone_id, package.food_id, COUNT(*) AS times
       FROM ledger_event AS event
       JOIN package ON package.id = event.package_id
       JOIN command ON command.household_id = event.household_id AND command.id = event.command_id
      WHERE event.household_id = :householdId
        AND event.zone_id IS NOT NULL
        AND event.type IN ('package.taken', 'package.thawed', 'package.cooked')
        AND event.at >= :since
        AND command.undone_by IS NULL
      GROUP BY event.zone_id, package.food_id`,
    { householdId, since: toSqlInstant(since) },
  );
  return rows.map(({ zone_id, food_id, times }) => ({
    zoneId: zone_id,
    foodId: food_id,
    times: Number(times),
  }));
}

/** When something last left each zone, ISO 8601 UTC, by zone id. */
export async function readLastLeft(sql: Sql, householdId: number): Promise<ReadonlyMap<string, string>> {
  const rows = await sql.rows<{ zone_id: string; at: string }>(
    `SELECT zone_id, MAX(at) AS at
       FROM ledger_event
      WHERE household_id = :householdId
        AND zone_id IS NOT NULL
        AND type IN ('package.taken', 'package.moved', 'package.opened', 'package.thawed', 'package.discarded',
                     'package.given', 'package.composted', 'package.cooked')
      GROUP BY zone_id`,
    { householdId },
  );
  return new Map(rows.map(({ zone_id, at }) => [zone_id, fromSqlInstant(at)]));
}
