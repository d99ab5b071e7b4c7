import type { AmountUnit } from '@/core/units/sayAmount';
import { type Sql, toSqlInstant } from './database';

/** What was eaten of a food: taken or cooked, whole or in part, and not undone. */
export interface EatenRow {
  foodId: string;
  amount: number;
  unit: AmountUnit;
}

/** What was eaten since an instant, each taking by itself (EXPLAIN: range over command_of_household). */
export async function readEaten(
  sql: Sql,
  householdId: number,
  since: string,
  foodIds: readonly string[],
): Promise<EatenRow[]> {
  if (foodIds.length === 0) return [];
  const rows = await sql.rows<{
    food_id: string;
    unit: AmountUnit;
    before_amount: number;
    left_amount: number;
  }>(
    `SELECT package.food_id, package.unit,
            CAST(JSON_VALUE(event.before_image, '$.amount') AS UNSIGNED) AS before_amount,
            IF(JSON_VALUE(event.after_image, '$.gone.how') IS NULL,
               CAST(JSON_VALUE(event.after_image, '$.amount') AS UNSIGNED), 0) AS left_amount
       FROM command
       JOIN ledger_event AS event ON event.household_id = command.household_id AND event.command_id = command.id
       JOIN package ON package.id = event.package_id
      WHERE command.household_id = :householdId
        AND command.recorded_at >= :since
        AND command.undone_by IS NULL
        AND event.type IN ('package.taken', 'package.cooked')
        AND event.before_image IS NOT NULL
        AND package.food_id IN (:foodIds)`,
    { householdId, since: toSqlInstant(since), foodIds },
  );
  return rows.flatMap(({ food_id: foodId, unit, before_amount, left_amount }) => {
    const amount = Number(before_amount) - Number(left_amount);
    return amount > 0 ? [{ foodId, amount, unit }] : [];
  });
}
