import type { Lot } from '@/core/model/package';
import type { Sql } from './database';

/** What was bought: the newest lots first. */
export interface BoughtLot {
  foodId: string;
  startOn: string;
  amount: number;
  unit: Lot['unit'];
  priceMinor: number | null;
}

/** Lots bought since a day, the newest first (EXPLAIN: range over lot_start). */
export async function readBought(
  sql: Sql,
  householdId: number,
  since: string,
  limit: number,
): Promise<BoughtLot[]> {
  const rows = await sql.rows<{
    food_id: string;
    start_on: string;
    amount: number;
    unit: Lot['unit'];
    price_minor: number | null;
  }>(
    `SELECT food_id, start_on, amount, unit, price_minor
       FROM lot
      WHERE household_id = :householdId
        AND start_on >= :since
        AND did = 'bought'
      ORDER BY start_on DESC, id DESC
      LIMIT :limit`,
    { householdId, since, limit },
  );
  return rows.map((row) => ({
    foodId: row.food_id,
    startOn: row.start_on,
    amount: row.amount,
    unit: row.unit,
    priceMinor: row.price_minor,
  }));
}

/** How many packages of each food were ever stored here, by food id: what is likely meant by a word. */
export async function readFoodCounts(sql: Sql, householdId: number): Promise<Record<string, number>> {
  const rows = await sql.rows<{ food_id: string; lots: number }>(
    `SELECT food_id, COUNT(*) AS lots
       FROM lot
      WHERE household_id = :householdId
      GROUP BY food_id
      ORDER BY lots DESC
      LIMIT 400`,
    { householdId },
  );
  return Object.fromEntries(rows.map(({ food_id: food, lots }) => [food, Number(lots)]));
}
