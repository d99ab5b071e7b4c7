import type { Package } from '@/core/model/package';
import { fromJson, type Sql, toSqlInstant } from './database';

/** What left lately of some foods, or under a name on its label, newest first, with the command by which it left. */
export async function readGone(
  sql: Sql,
  householdId: number,
  { foodIds, words, limit }: { foodIds: readonly string[]; words: readonly string[]; limit: number },
): Promise<{ found: Package; command: string; undone: boolean }[]> {
  if (foodIds.length === 0 && words.length === 0) return [];
  const called = words.map((_, at) => `called LIKE :like${at}`).join(' AND ');
  const likes = Object.fromEntries(
    words.map((word, at) => [`like${at}`, `%${word.replaceAll(/[\\%_]/g, '\\$&')}%`]),
  );
  const rows = await sql.rows<{ image: unknown; command: string; undone_by: string | null }>(
    `SELECT gone.image, command.id AS command, command.undone_by
       FROM (SELECT id, image
               FROM package
              WHERE household_id = :householdId
                AND here = FALSE
                AND (${[foodIds.length > 0 ? 'food_id IN (:foodIds)' : '', called === '' ? '' : `(${called})`]
                  .filter((part) => part !== '')
                  .join(' OR ')})
              ORDER BY JSON_VALUE(image, '$.gone.on') DESC
              LIMIT :limit) AS gone
       JOIN ledger_event AS event
         ON event.id = (SELECT MAX(last.id)
                          FROM ledger_event AS last
                         WHERE last.household_id = :householdId
                           AND last.package_id = gone.id)
       JOIN command ON command.household_id = event.household_id AND command.id = event.command_id
      ORDER BY event.id DESC`,
    { householdId, foodIds, limit, ...likes },
  );
  return rows.map(({ image, command, undone_by }) => ({
    found: fromJson<Package>(image),
    command,
    undone: undone_by !== null,
  }));
}

/** What left since a day, whatever it was, newest first, each with the command by which it left. */
export async function readGoneLately(
  sql: Sql,
  householdId: number,
  since: string,
  limit: number,
): Promise<{ found: Package; command: string }[]> {
  const rows = await sql.rows<{ image: unknown; command: string }>(
    `SELECT package.image, command.id AS command
       FROM command
       JOIN ledger_event AS event ON event.household_id = command.household_id AND event.command_id = command.id
       JOIN package ON package.id = event.package_id
      WHERE command.household_id = :householdId
        AND command.recorded_at >= :since
        AND command.undone_by IS NULL
        AND event.type IN ('package.taken', 'package.lost', 'package.cooked')
        AND package.here = FALSE
        AND package.version = CAST(JSON_VALUE(event.after_image, '$.version') AS UNSIGNED)
      ORDER BY command.recorded_at DESC
      LIMIT :limit`,
    { householdId, since: toSqlInstant(since), limit },
  );
  return rows.map(({ image, command }) => ({ found: fromJson<Package>(image), command }));
}
