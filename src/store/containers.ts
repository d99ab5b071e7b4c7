import type { Container } from '@/core/model/container';
import { fromJson, type Sql } from './database';

/** The containers a household owns, by name. */
export async function readContainers(sql: Sql, householdId: number): Promise<Container[]> {
  const rows = await sql.rows<{ container: unknown }>(
    `SELECT container
       FROM container
      WHERE household_id = :householdId
      ORDER BY name, id`,
    { householdId },
  );
  return rows.map(({ container }) => fromJson<Container>(container));
}

/** Adds or renews one; `null` takes it out. */
export async function putContainer(
  sql: Sql,
  householdId: number,
  id: string,
  container: Container | null,
): Promise<void> {
  if (container === null) {
    await sql.run(`DELETE FROM container WHERE household_id = :householdId AND id = :id`, {
      householdId,
      id,
    });
    return;
  }
  await sql.run(
    `INSERT INTO container (id, household_id, name, container)
     VALUES (:id, :householdId, :name, :container)
         ON DUPLICATE KEY
     UPDATE name = VALUES(name), container = VALUES(container)`,
    { id, householdId, name: container.name, container: JSON.stringify(container) },
  );
}
