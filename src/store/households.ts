import type { Hemisphere } from '@/core/calendar/hemisphere';
import type { Marks } from '@/core/model/food';
import type { Caution } from '@/core/model/history';
import type { UnitSystem } from '@/core/units/readAmount';
import { PLAIN_WORDING, type Wording } from '@/core/units/wording';
import type { HouseholdSettings } from '@/core/model/setting';
import { fromJson, type Sql } from './database';

export interface Household {
  id: number;
  name: string;
  timeZone: string;
  currency: string;
  settings: HouseholdSettings;
  /** The demo, which may be put back at any time. */
  demo: boolean;
  /** Another text whenever its figures are others: the reference, its wishes, its own foods. */
  figures: string;
  /** Grows with every command. */
  changes: number;
  /** A power cut is not put away. */
  openCut: boolean;
  /** Grows with every change of its appliances, zones and readings. */
  kitchenChanges: number;
}

interface HouseholdRow {
  demo: number;
  units: UnitSystem;
  decimals: Wording['decimals'];
  date_order: 'dmy' | 'mdy';
  marks: string;
  hemisphere: Hemisphere;
  people: unknown;
  figures: string;
  changes: number | string;
  kitchen_changes: number;
  open_cut: number;
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
  demo: row.demo === 1,
  settings: {
    name: row.name,
    timeZone: row.time_zone,
    currency: row.currency,
    units: row.units,
    decimals: row.decimals,
    dateOrder: row.date_order,
    people: row.people === null ? [] : fromJson<string[]>(row.people),
    marks: fromJson<Marks>(row.marks),
    hemisphere: row.hemisphere,
    caution: row.caution,
    notifyAt: row.notify_at,
    leadChilled: row.lead_chilled,
    leadFrozen: row.lead_frozen,
    feedKey: row.feed_key,
  },
  figures: row.figures,
  changes: Number(row.changes),
  kitchenChanges: row.kitchen_changes,
  openCut: row.open_cut === 1,
});

const HOUSEHOLD = `SELECT id, demo, units, decimals, date_order, people, marks, hemisphere, name, time_zone, currency, caution, notify_at, lead_chilled, lead_frozen, feed_key,
            changes, kitchen_changes,
            EXISTS (SELECT 1
                      FROM kept
                     WHERE kept.household_id = household.id
                       AND kept.kind = 'cut'
                       AND JSON_TYPE(JSON_EXTRACT(kept.value, '$.closedAt')) = 'NULL') AS open_cut,
            CONCAT(figures_version, ':',
                   COALESCE((SELECT digest FROM reference_file WHERE reference_file.name = 'reference'), '')) AS figures
       FROM household`;

/** The household with this id; when `id` is null the own one made last, else the first. */
export async function readHousehold(sql: Sql, id: number | null): Promise<Household | null> {
  const [row] = await sql.rows<HouseholdRow>(
    `${HOUSEHOLD}
      WHERE :id IS NULL
         OR id = :id
      ORDER BY own DESC, IF(own, -id, id)
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

/** A household to be: what is not told is as usual. */
export interface NewHousehold {
  name: string;
  timeZone: string;
  currency: string;
  settings: Pick<HouseholdSettings, 'caution' | 'notifyAt' | 'leadChilled' | 'leadFrozen' | 'feedKey'> &
    Partial<Pick<HouseholdSettings, 'units' | 'decimals' | 'dateOrder' | 'people' | 'marks' | 'hemisphere'>>;
  demo?: boolean;
  own?: boolean;
}

export async function addHousehold(sql: Sql, household: NewHousehold): Promise<number> {
  const { settings } = household;
  const { insertId } = await sql.run(
    `INSERT INTO household (name, time_zone, currency, caution, notify_at, lead_chilled, lead_frozen, feed_key,
                            units, decimals, date_order, people, marks, hemisphere, demo, own)
     VALUES (:name, :timeZone, :currency, :caution, :notifyAt, :leadChilled, :leadFrozen, :feedKey,
             :units, :decimals, :dateOrder, :people, :marks, :hemisphere, :demo, :own)`,
    {
      ...household,
      ...settings,
      units: settings.units ?? PLAIN_WORDING.units,
      decimals: settings.decimals ?? PLAIN_WORDING.decimals,
      dateOrder: settings.dateOrder ?? 'dmy',
      people: JSON.stringify(settings.people ?? []),
      marks: JSON.stringify(settings.marks ?? {}),
      hemisphere: settings.hemisphere ?? 'north',
      demo: household.demo ?? false,
      own: household.own ?? false,
    },
  );
  return insertId;
}

/**
 * Writes what the household decided for itself. Settings that a ledger of before did not know yet stay as they are.
 */
export async function putSettings(
  sql: Sql,
  householdId: number,
  settings: Partial<HouseholdSettings>,
): Promise<void> {
  const told = (value: string | undefined): string | null => value ?? null;
  await sql.run(
    `UPDATE household
        SET caution = :caution,
            notify_at = :notifyAt,
            lead_chilled = :leadChilled,
            lead_frozen = :leadFrozen,
            feed_key = COALESCE(NULLIF(:feedKey, ''), feed_key),
            name = COALESCE(:name, name),
            time_zone = COALESCE(:timeZone, time_zone),
            currency = COALESCE(:currency, currency),
            units = COALESCE(:units, units),
            decimals = COALESCE(:decimals, decimals),
            date_order = COALESCE(:dateOrder, date_order),
            people = COALESCE(:people, people),
            marks = COALESCE(:marks, marks),
            hemisphere = COALESCE(:hemisphere, hemisphere)
      WHERE id = :householdId`,
    {
      householdId,
      ...settings,
      name: told(settings.name),
      timeZone: told(settings.timeZone),
      currency: told(settings.currency),
      units: told(settings.units),
      decimals: told(settings.decimals),
      dateOrder: told(settings.dateOrder),
      people: settings.people ? JSON.stringify(settings.people) : null,
      marks: settings.marks ? JSON.stringify(settings.marks) : null,
      hemisphere: told(settings.hemisphere),
    },
  );
}

/** A household as one may choose it. */
export interface ListedHousehold {
  id: number;
  name: string;
  demo: boolean;
  own: boolean;
}

/** All households, or those `among` these: one's own first, the newest of them in front. */
export async function readHouseholds(
  sql: Sql,
  among: readonly number[] | null = null,
): Promise<ListedHousehold[]> {
  if (among?.length === 0) return [];
  const rows = await sql.rows<{ id: number; name: string; demo: number; own: number }>(
    `SELECT id, name, demo, own
       FROM household
       ${among ? 'WHERE id IN (:among)' : ''}
      ORDER BY own DESC, IF(own, -CAST(id AS SIGNED), id)
      LIMIT 50`,
    { among },
  );
  return rows.map((row) => ({
    ...row,
    demo: row.demo === 1,
    own: row.own === 1,
  }));
}

/** How many packages are in the store of each of these households, by its id. */
export async function readHouseholdSizes(
  sql: Sql,
  among: readonly number[],
): Promise<ReadonlyMap<number, number>> {
  if (among.length === 0) return new Map();
  const rows = await sql.rows<{ id: number; packages: number }>(
    `SELECT household_id AS id, COUNT(*) AS packages
       FROM package
      WHERE here = TRUE
        AND household_id IN (:among)
      GROUP BY household_id`,
    { among },
  );
  return new Map(rows.map(({ id, packages }) => [id, Number(packages)]));
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

/** Tables with what a household has, children first. */
const OF_HOUSEHOLD = [
  'ledger_event',
  'haul_line',
  'haul',
  'learned_code',
  'passing',
  'old_code',
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
  'kept',
  'photo',
] as const;

/** Empties the tables of one household, or of every one when `id` is null. Reference data stays. */
export async function clearHouseholds(sql: Sql, id: number | null): Promise<void> {
  const its = `(:id IS NULL OR household_id = :id)`;
  for (const table of OF_HOUSEHOLD) await sql.run(`DELETE FROM ${table} WHERE ${its}`, { id });
  await sql.run(`UPDATE zone SET parent_id = NULL WHERE ${its}`, { id });
  for (const table of ['zone', 'compartment', 'appliance'])
    await sql.run(`DELETE FROM ${table} WHERE ${its}`, { id });
  await sql.run(`DELETE FROM food WHERE household_id IS NOT NULL AND ${its}`, { id });
  await sql.run(`DELETE FROM household WHERE :id IS NULL OR id = :id`, { id });
}
