import type { Food } from '@/core/model/food';
import type { OutageClass } from '@/core/model/outageClass';
import { fromJson, type Sql } from './database';

/** Reference foods and the household's own, by name. Retired ones too, since packages may still be of them. */
export async function readFoodRows(
  sql: Sql,
  householdId: number | null,
): Promise<(Food & { retired: boolean; own: boolean })[]> {
  const rows = await sql.rows<{ figures: unknown; retired: number; household_id: number | null }>(
    `SELECT figures, retired, household_id
       FROM food
      WHERE household_id IS NULL
         OR household_id = :householdId
      ORDER BY name`,
    { householdId },
  );
  return rows.map((row) => ({
    ...fromJson<Food>(row.figures),
    retired: row.retired === 1,
    own: row.household_id !== null,
  }));
}

export async function readOutageClasses(sql: Sql): Promise<Map<string, OutageClass>> {
  const rows = await sql.rows<{ id: string; figures: unknown }>(
    `SELECT id, figures
       FROM outage_class`,
  );
  return new Map(rows.map(({ id, figures }) => [id, fromJson<OutageClass>(figures)]));
}

/** Adds or renews one food. */
export async function putFood(
  sql: Sql,
  householdId: number | null,
  food: Food,
  retired = false,
): Promise<void> {
  await sql.run(
    `INSERT INTO food (id, household_id, name, food_group, outage_class_id, retired, figures)
     VALUES (:id, :householdId, :name, :group, :outageClass, :retired, :figures)
         ON DUPLICATE KEY
     UPDATE name = VALUES(name),
            food_group = VALUES(food_group),
            outage_class_id = VALUES(outage_class_id),
            retired = VALUES(retired),
            figures = VALUES(figures)`,
    {
      id: food.id,
      householdId,
      retired,
      name: food.name,
      group: food.group,
      outageClass: food.outageClass,
      figures: JSON.stringify(food),
    },
  );
}

/** Replaces the reference data by what the files say; foods that left the file are retired, never deleted. */
export async function putReference(
  sql: Sql,
  classes: ReadonlyMap<string, OutageClass>,
  foods: readonly Food[],
): Promise<void> {
  for (const outageClass of classes.values()) {
    await sql.run(
      `INSERT INTO outage_class (id, title, figures)
       VALUES (:id, :title, :figures)
           ON DUPLICATE KEY
       UPDATE title = VALUES(title), figures = VALUES(figures)`,
      { id: outageClass.id, title: outageClass.title, figures: JSON.stringify(outageClass) },
    );
  }
  await sql.run(`UPDATE food SET retired = TRUE WHERE household_id IS NULL`);
  for (const food of foods) await putFood(sql, null, food);
}

export async function readReferenceDigest(sql: Sql, name: string): Promise<string | null> {
  const [row] = await sql.rows<{ digest: string }>(`SELECT digest FROM reference_file WHERE name = :name`, {
    name,
  });
  return row?.digest ?? null;
}

export async function dropReferenceDigest(sql: Sql, name: string): Promise<void> {
  await sql.run(`DELETE FROM reference_file WHERE name = :name`, { name });
}

export async function putReferenceDigest(sql: Sql, name: string, digest: string): Promise<void> {
  await sql.run(
    `INSERT INTO reference_file (name, digest)
     VALUES (:name, :digest)
         ON DUPLICATE KEY
     UPDATE digest = VALUES(digest)`,
    { name, digest },
  );
}
