import type { Caution } from '@/core/model/history';
import type { HouseholdSettings } from '@/core/model/setting';
import type { Sql } from './database';

export interface Household {
  id: number;
  name: string;
  timeZone: string;
  currency: string;
  settings: HouseholdSettings;
  /** Another text whenever its figures are others: the reference, its wishes, its own foods. */
  figures: string;
  /** Grows with every command. */
  changes: number;
  /** Grows with every change of its appliances, zones and readings. */
  kitchenChanges: number;
}

interface HouseholdRow {
  figures: string;
  changes: number | string;
  kitchen_changes: number;
  notify_at: string;
  lead_chilled: number;
  lead_frozen: number;
  feed_key: string;
  id: number;
  name: string;
  time_zone: string;
  currency: string;
  caution: Caution;
}

const toHousehold = (row: HouseholdRow): Household => ({
  id: row.id,
  name: row.name,
  timeZone: row.time_zone,
  currency: row.currency,
  settings: {
    caution: row.caution,
    notifyAt: row.notify_at,
    leadChilled: row.lead_chilled,
    leadFrozen: row.lead_frozen,
    feedKey: row.feed_key,
  },
  figures: row.figures,
  changes: Number(row.changes),
  kitchenChanges: row.kitchen_changes,
});

const HOUSEHOLD = `SELECT id, name, time_zone, currency, caution, notify_at, lead_chilled, lead_frozen, feed_key,
            changes, kitchen_changes,
            CONCAT(figures_version, ':',
                   COALESCE((SELECT digest FROM reference_file WHERE reference_file.name = 'reference'), '')) AS figures
       FROM household`;

/** The household with this id, or the first one when `id` is null. */
export async function readHousehold(sql: Sql, id: number | null): Promise<Household | null> {
  const [row] = await sql.rows<HouseholdRow>(
    `${HOUSEHOLD}
      WHERE :id IS NULL
         OR id = :id
      ORDER BY id
      LIMIT 1`,
    { id },
  );
  return row ? toHousehold(row) : null;
}

/** Ids of all households of this database. */
export async function readHouseholdIds(sql: Sql): Promise<number[]> {
  const rows = await sql.rows<{ id: number }>(`SELECT id FROM household ORDER BY id`);
  return rows.map(({ id }) => id);
}

/** Says that something of the household, or of its kitchen, is another than before; in the transaction that changes it. */
export async function countChange(sql: Sql, householdId: number, kitchen: boolean): Promise<void> {
  await sql.run(
    `UPDATE household
        SET changes = changes + 1,
            kitchen_changes = kitchen_changes + :kitchen
      WHERE id = :householdId`,
    { householdId, kitchen: kitchen ? 1 : 0 },
  );
}

/** Says that the household's figures are others now; in the transaction that changes them. */
export async function renewFiguresVersion(sql: Sql, householdId: number): Promise<void> {
  await sql.run(`UPDATE household SET figures_version = figures_version + 1 WHERE id = :householdId`, {
    householdId,
  });
}

export async function addHousehold(
  sql: Sql,
  household: Omit<Household, 'id' | 'figures' | 'changes' | 'kitchenChanges'>,
): Promise<number> {
  const { insertId } = await sql.run(
    `INSERT INTO household (name, time_zone, currency, caution, notify_at, lead_chilled, lead_frozen, feed_key)
     VALUES (:name, :timeZone, :currency, :caution, :notifyAt, :leadChilled, :leadFrozen, :feedKey)`,
    { ...household, ...household.settings },
  );
  return insertId;
}

/** Writes what the household decided for itself. */
export async function putSettings(sql: Sql, householdId: number, settings: HouseholdSettings): Promise<void> {
  await sql.run(
    `UPDATE household
        SET caution = :caution,
            notify_at = :notifyAt,
            lead_chilled = :leadChilled,
            lead_frozen = :leadFrozen,
            feed_key = :feedKey
      WHERE id = :householdId`,
    { householdId, ...settings },
  );
}

/** Households that a newer schema has not given a calendar address yet. */
export async function readWithoutFeed(sql: Sql): Promise<number[]> {
  const rows = await sql.rows<{ id: number }>(`SELECT id FROM household WHERE feed_key = ''`);
  return rows.map(({ id }) => id);
}

export async function putFeedKey(sql: Sql, householdId: number, feedKey: string): Promise<void> {
  await sql.run(`UPDATE household SET feed_key = :feedKey WHERE id = :householdId`, { householdId, feedKey });
}

/**
 * Makes the household's changes wait for each other: its row stays locked until the transaction ends. Without this two
 * hauls at once would each share the row (foreign key) and then both want it alone (codes), a deadlock every time.
 *
 * @returns the household as it is under the lock: caution, settings and the mark of its figures
 */
export async function lockHousehold(sql: Sql, householdId: number): Promise<Household | null> {
  // A statement of its own: a read beside it would look at the rows as they were before the lock was had.
  await sql.rows(`SELECT id FROM household WHERE id = :householdId FOR UPDATE`, { householdId });
  return readHousehold(sql, householdId);
}

/**
 * Takes the next package numbers of a household for codes that never come twice.
 *
 * @returns the first of `count` numbers; the row stays locked until the transaction ends
 */
export async function takeCodeNumbers(sql: Sql, householdId: number, count: number): Promise<number> {
  await sql.run(
    `UPDATE household
        SET next_code = LAST_INSERT_ID(next_code) + :count
      WHERE id = :householdId`,
    { householdId, count },
  );
  const [row] = await sql.rows<{ first: number }>(`SELECT LAST_INSERT_ID() AS first`);
  return Number(row?.first ?? 0);
}

/** Empties every household's tables, children first. Reference data stays. */
export async function clearHouseholds(sql: Sql): Promise<void> {
  for (const table of [
    'ledger_event',
    'haul_line',
    'haul',
    'learned_code',
    'passing',
    'package',
    'lot',
    'command',
    'zone_fill',
    'day_tally',
    'feed_day',
    'wish',
    'job',
    'reading',
    'container',
  ])
    await sql.run(`DELETE FROM ${table}`);
  await sql.run(`UPDATE zone SET parent_id = NULL`);
  for (const table of ['zone', 'compartment', 'appliance']) await sql.run(`DELETE FROM ${table}`);
  await sql.run(`DELETE FROM food WHERE household_id IS NOT NULL`);
  await sql.run(`DELETE FROM household`);
}
