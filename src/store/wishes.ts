import type { Wish } from '@/core/model/wish';
import { fromJson, type Sql } from './database';

/** The household's wishes by food. */
export async function readWishes(sql: Sql, householdId: number): Promise<Map<string, Wish>> {
  const rows = await sql.rows<{ food_id: string; wish: unknown }>(
    `SELECT food_id, wish
       FROM wish
      WHERE household_id = :householdId`,
    { householdId },
  );
  return new Map(rows.map((row) => [row.food_id, fromJson<Wish>(row.wish)]));
}

/** Writes a wish; one that wishes for nothing is taken away. */
export async function putWish(sql: Sql, householdId: number, foodId: string, wish: Wish): Promise<void> {
  if (Object.values(wish).every((figure) => figure === null)) {
    await sql.run(`DELETE FROM wish WHERE household_id = :householdId AND food_id = :foodId`, {
      householdId,
      foodId,
    });
    return;
  }
  await sql.run(
    `INSERT INTO wish (household_id, food_id, wish, lead_days)
     VALUES (:householdId, :foodId, :wish, :leadDays)
         ON DUPLICATE KEY
     UPDATE wish = VALUES(wish), lead_days = VALUES(lead_days)`,
    { householdId, foodId, wish: JSON.stringify(wish), leadDays: wish.leadDays },
  );
}
