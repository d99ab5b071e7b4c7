import type { ZoneMove } from '@/core/model/world';
import { fromSqlInstant, type Sql, toSqlInstant } from './database';

interface Row {
  command_id: string;
  command_type: string;
  package_id: string;
  at: string;
  how: string | null;
  was: number;
  from_here: number;
  from_zone: string | null;
  to_here: number;
  to_zone: string | null;
  food: string;
}

/** What a package was made of in a command: what else went into it. */
function madeOf(row: Row, nth: number, command: readonly Row[]): ZoneMove['of'] {
  const joins = row.command_type === 'package.merge' && nth === 0;
  if (row.was === 1 && !joins) return [];
  return command
    .filter((one) => one.was === 1 && one.package_id !== row.package_id)
    .map((one) => ({ id: one.package_id, foodId: one.food, zoneId: one.from_zone }));
}

/**
 * Packages that changed their place, came or left since an instant, each with its moves in order of time and with what it was made of
 * (EXPLAIN: range over event_by_time). What was undone never happened: it lay where it was, so that an undo makes no cut shorter.
 */
export async function readWhereabouts(
  sql: Sql,
  householdId: number,
  since: string,
): Promise<Map<string, ZoneMove[]>> {
  const rows = await sql.rows<Row>(
    `SELECT event.command_id, command.type AS command_type, event.package_id, event.at,
            JSON_VALUE(after_image, '$.gone.how') AS how,
            before_image IS NOT NULL AS was,
            before_image IS NOT NULL AND JSON_TYPE(JSON_EXTRACT(before_image, '$.gone')) = 'NULL' AS from_here,
            JSON_VALUE(before_image, '$.zoneId') AS from_zone,
            JSON_TYPE(JSON_EXTRACT(after_image, '$.gone')) = 'NULL' AS to_here,
            JSON_VALUE(after_image, '$.zoneId') AS to_zone,
            JSON_VALUE(COALESCE(before_image, after_image), '$.foodId') AS food
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
  const commands = new Map<string, Row[]>();
  for (const row of rows) {
    const its = commands.get(row.command_id);
    if (its) its.push(row);
    else commands.set(row.command_id, [row]);
  }
  const moves = new Map<string, ZoneMove[]>();
  for (const command of commands.values())
    for (const [nth, row] of command.entries()) {
      const from = { here: row.from_here === 1, zone: row.from_zone };
      const to = { here: row.to_here === 1, zone: row.to_zone };
      const of = madeOf(row, nth, command) ?? [];
      if (from.here === to.here && from.zone === to.zone && of.length === 0) continue;
      const its = moves.get(row.package_id) ?? [];
      const lost = row.how === 'lost' ? { lost: true } : {};
      its.push({ at: fromSqlInstant(row.at), from, to, ...lost, ...(of.length === 0 ? {} : { of }) });
      moves.set(row.package_id, its);
    }
  return moves;
}
