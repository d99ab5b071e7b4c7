/** Puts a backup in the place of what is there. Who may come in stays as it is now. */
import type { Connection } from 'mysql2/promise';
import { prepareDatabase } from '../machine.mjs';
import { addressOf, rowsOf, tablesOf, withDb } from './client';
import { loadBackup } from './tryBackup';

/** Who may come in, in an order in which it can be written. */
const KEYS = ['member', 'membership', 'device', 'device_out', 'invitation', 'recovery_code'] as const;
/** What of a household's row is a key. */
const HOUSEHOLD_KEYS = ['feed_key', 'guest_key'] as const;

const columnsOf = async (db: Connection, name: string, table: string): Promise<string> =>
  (
    await rowsOf<{ name: string }>(
      db,
      `SELECT column_name AS name
         FROM information_schema.columns
        WHERE table_schema = ?
          AND table_name = ?
          AND extra NOT LIKE '%GENERATED%'`,
      [name, table],
    )
  )
    .map((row) => `\`${row.name}\``)
    .join(', ');

/** Whether a backup is of this very database, at an earlier time: something was entered that both know. */
const isOurs = async (db: Connection, name: string, fresh: string): Promise<boolean> =>
  (
    await rowsOf(
      db,
      `SELECT 1
         FROM \`${fresh}\`.command AS old
         JOIN \`${name}\`.command AS now ON now.household_id = old.household_id AND now.id = old.id
        LIMIT 1`,
    )
  ).length > 0;

/**
 * A backup of this very database comes back with today's keys: who was ended, which codes were used and which devices were signed
 * out since stays so. Elsewhere members come with it and sign in again; its devices and invitations are not believed.
 */
async function keepKeys(db: Connection, name: string, fresh: string): Promise<void> {
  if (!(await isOurs(db, name, fresh))) {
    for (const table of ['device', 'invitation']) await db.query('DELETE FROM ??.??', [fresh, table]);
    return;
  }
  for (const table of [...KEYS].reverse()) await db.query('DELETE FROM ??.??', [fresh, table]);
  for (const table of KEYS) {
    const columns = await columnsOf(db, fresh, table);
    const ofHousehold = columns.includes('`household_id`');
    // Households that were added since are not in the backup; their keys go with them.
    const where = ofHousehold
      ? `WHERE household_id IS NULL OR household_id IN (SELECT id FROM \`${fresh}\`.household)`
      : '';
    await db.query(`INSERT INTO ??.?? (${columns}) SELECT ${columns} FROM ??.?? ${where}`, [
      fresh,
      table,
      name,
      table,
    ]);
  }
  for (const column of HOUSEHOLD_KEYS)
    await db.query(
      `UPDATE \`${fresh}\`.household AS put
         JOIN \`${name}\`.household AS now ON now.id = put.id
          SET put.${column} = now.${column}`,
    );
  const columns = await columnsOf(db, fresh, 'security_event');
  await db.query(`DELETE FROM \`${fresh}\`.security_event`);
  await db.query(
    `INSERT INTO \`${fresh}\`.security_event (${columns})
     SELECT ${columns} FROM \`${name}\`.security_event
      WHERE household_id IS NULL OR household_id IN (SELECT id FROM \`${fresh}\`.household)`,
  );
}

/** Whoever cached something of a household sees by these numbers that it is another one now. */
const countOn = (db: Connection, name: string, fresh: string) =>
  db.query(
    `UPDATE \`${fresh}\`.household
        SET changes = changes + 1 + (SELECT COALESCE(MAX(changes), 0) FROM \`${name}\`.household),
            kitchen_changes = kitchen_changes + 1 + (SELECT COALESCE(MAX(kitchen_changes), 0) FROM \`${name}\`.household),
            figures_version = figures_version + 1 + (SELECT COALESCE(MAX(figures_version), 0) FROM \`${name}\`.household)`,
  );

/**
 * Puts a backup in the place of what is there, in one step, while servers run: they see the one or the other. What was there before
 * stays beside it, in a database with `_before` behind its name, until the next restore.
 *
 * @param bare it was written before 0.14 and has no manifest
 * @returns the names of the households that are there now
 * @throws NoBackup; then nothing was changed
 */
export async function restore(url: string, file: string, bare = false): Promise<string[]> {
  const { name } = addressOf(url);
  const [fresh, before] = [`${name}_restored`, `${name}_before`];
  // On a fresh machine there is nothing yet.
  await prepareDatabase(url, ['--no-demo']);
  const { households } = await loadBackup(url, file, fresh, bare);
  await withDb(url, async (db) => {
    await keepKeys(db, name, fresh);
    await countOn(db, name, fresh);
    await db.query(
      `INSERT INTO \`${fresh}\`.security_event (household_id, at, kind, member_name, says)
       SELECT id, UTC_TIMESTAMP(3), 'restored', NULL, 'A backup was put in place at the machine.' FROM \`${fresh}\`.household`,
    );
    await db.query('DROP DATABASE IF EXISTS ??', [before]);
    await db.query('CREATE DATABASE ?? CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci', [before]);
    const moves = [
      ...(await tablesOf(db, name)).map((table) => `\`${name}\`.\`${table}\` TO \`${before}\`.\`${table}\``),
      ...(await tablesOf(db, fresh)).map((table) => `\`${fresh}\`.\`${table}\` TO \`${name}\`.\`${table}\``),
    ];
    await db.query(`RENAME TABLE ${moves.join(', ')}`);
    await db.query('DROP DATABASE ??', [fresh]);
  });
  return households;
}
