import type { AmountUnit } from '@/core/units/sayAmount';
import { type Sql, toSqlInstant } from './database';

/** What was lost of one food, for one reason, from one zone, in one month. */
export interface LostRow {
  reason: string;
  foodId: string;
  zoneId: string | null;
  /** `YYYY-MM`, UTC. */
  month: string;
  times: number;
  /** Grams and millilitres; pieces count by themselves. */
  grams: number;
  pieces: number;
  /** Minor units. */
  minor: number;
}

/**
 * What was thrown out, composted or never found again since an instant, and not undone (EXPLAIN: range over event_lost, by
 * the index alone). Of a part only the part counts.
 */
export async function readLost(sql: Sql, householdId: number, since: string): Promise<LostRow[]> {
  const rows = await sql.rows<{
    reason: string;
    food_id: string;
    zone_id: string | null;
    month: string;
    times: number | string;
    grams: number | string;
    pieces: number | string;
    minor: number | string;
  }>(
    `SELECT event.lost_reason AS reason, event.lost_food AS food_id, event.lost_zone AS zone_id,
            DATE_FORMAT(event.at, '%Y-%m') AS month,
            COUNT(*) AS times,
            SUM(IF(event.lost_unit = 'pc', 0, event.lost_amount)) AS grams,
            SUM(IF(event.lost_unit = 'pc', event.lost_amount, 0)) AS pieces,
            SUM(event.lost_minor) AS minor
       FROM ledger_event AS event
       JOIN command ON command.household_id = event.household_id AND command.id = event.command_id
      WHERE event.household_id = :householdId
        AND event.lost = TRUE
        AND event.at >= :since
        AND command.undone_by IS NULL
      GROUP BY reason, food_id, zone_id, month`,
    { householdId, since: toSqlInstant(since) },
  );
  return rows.map((row) => ({
    ...{ reason: row.reason, foodId: row.food_id, zoneId: row.zone_id, month: row.month },
    ...{
      times: Number(row.times),
      grams: Number(row.grams),
      pieces: Number(row.pieces),
      minor: Number(row.minor),
    },
  }));
}

/** A package over its time in the store, as far as looking back goes. */
export interface StayRow {
  id: string;
  foodId: string;
  frozen: boolean;
  cameOn: string;
  /** `null`: it is here. */
  goneOn: string | null;
  goneHow: string | null;
  reason: string | null;
  startOn: string;
  opened: boolean;
  /** The first-out order as one text that sorts. */
  firstOut: string;
  litres: number;
  amount: number;
  unit: AmountUnit;
}

/** Every package that was here at any time since a day. */
export async function readStays(sql: Sql, householdId: number, since: string): Promise<StayRow[]> {
  const rows = await sql.rows<{
    id: string;
    food_id: string;
    state: string;
    came_on: string;
    gone_on: string | null;
    gone_how: string | null;
    reason: string | null;
    start_on: string;
    opened: number;
    first_out: string;
    litres: number | string | null;
    amount: number;
    unit: AmountUnit;
  }>(
    `SELECT id, food_id, state, start_on, opened, first_out, litres, amount, unit,
            came_on, gone_on, gone_how, gone_reason AS reason
       FROM package
      WHERE household_id = :householdId
        AND (here = TRUE OR gone_on >= :since)`,
    { householdId, since },
  );
  return rows
    .filter(({ gone_how: how }) => how !== 'undone')
    .map((row) => ({
      ...{ id: row.id, foodId: row.food_id, frozen: row.state === 'frozen', cameOn: row.came_on },
      ...{ goneOn: row.gone_on, goneHow: row.gone_how, reason: row.reason, startOn: row.start_on },
      ...{ opened: row.opened === 1, firstOut: row.first_out, litres: Number(row.litres ?? 0) },
      ...{ amount: row.amount, unit: row.unit },
    }));
}

/** What came in of each food since an instant: how much, and for how much. */
export async function readCameIn(
  sql: Sql,
  householdId: number,
  since: string,
): Promise<{ foodId: string; grams: number; minor: number }[]> {
  const rows = await sql.rows<{ food_id: string; grams: number | string; minor: number | string }>(
    `SELECT lot.food_id, SUM(IF(lot.unit = 'pc', 0, lot.amount)) AS grams, SUM(COALESCE(lot.price_minor, 0)) AS minor
       FROM lot
       JOIN command ON command.household_id = lot.household_id AND command.id = lot.command_id
      WHERE lot.household_id = :householdId
        AND command.recorded_at >= :since
        AND command.undone_by IS NULL
      GROUP BY lot.food_id`,
    { householdId, since: toSqlInstant(since) },
  );
  return rows.map((row) => ({ foodId: row.food_id, grams: Number(row.grams), minor: Number(row.minor) }));
}
