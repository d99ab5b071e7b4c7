import type { ZoneMove } from '@/core/model/world';
import { fromSqlInstant, type Sql, toSqlInstant } from './database';

/**
 * Packages that changed their place, came or left since an instant, each with its moves in order of time (EXPLAIN: range over
 * event_by_time). What was undone never happened: it lay where it was, so that an undo makes no cut shorter.
 */
export async function readWhereabouts(
  sql: Sql,
  householdId: number,
  since: string,
): Promise<Map<string, ZoneMove[]>> {
  const rows = await sql.rows<{
    package_id: string;
    at: string;
    from_here: number;
    from_zone: string | null;
    to_here: number;
    to_zone: string | null;
  }>(
    `SELECT event.package_id, event.at,
            before_image IS NOT NULL AND JSON_TYPE(JSON_EXTRACT(before_image, '$.gone')) = 'NULL' AS from_here,
            JSON_VALUE(before_image, '$.zoneId') AS from_zone,
            JSON_TYPE(JSON_EXTRACT(after_image, '$.gone')) = 'NULL' AS to_here,
            JSON_VALUE(after_image, '$.zoneId') AS to_zone
       FROM ledger_event AS event
       JOIN command ON command.household_id = event.household_id AND command.id = event.command_id
      WHERE event.household_id = :householdId
        AND event.at >= :since
        AND event.package_id IS NOT NULL
        AND command.undone_by IS NULL
        AND command.type <> 'ledger.undo'
      ORDER BY event.at, event.id`,
    { householdId, since: toSqlInstant(since) },
  );
  const moves = new Map<string, ZoneMove[]>();
  for (const row of rows) {
    const from = { here: row.from_here === 1, zone: row.from_zone };
    const to = { here: row.to_here === 1, zone: row.to_zone };
    if (from.here === to.here && from.zone === to.zone) continue;
    const its = moves.get(row.package_id) ?? [];
    its.push({ at: fromSqlInstant(row.at), from, to });
    moves.set(row.package_id, its);
  }
  return moves;
}
