import { ownLitres } from '@/core/kitchen/boxes';
import type { ApplianceDrawing, DrawnZone, ZoneRules } from '@/core/model/drawing';
import type { Sql } from './database';

async function putZone(
  sql: Sql,
  householdId: number,
  applianceId: string,
  zone: DrawnZone,
  more: { position: number; litres: number; lifts: number; assumedC: number },
): Promise<void> {
  const {
    only,
    never,
    person,
    limitLitres,
    hardToReach,
    keptEmpty,
    leakproof,
    parentId: _parent,
    ...drawn
  } = zone;
  const rules: ZoneRules = { only, never, person, limitLitres, hardToReach, keptEmpty, leakproof };
  await sql.run(
    `INSERT INTO zone (id, household_id, appliance_id, compartment_id, parent_id, name, purpose, kind, side, position, litres,
                       x_mm, y_mm, z_mm, width_mm, depth_mm, height_mm, temperature_c, humidity, lifts, rules)
     VALUES (:id, :householdId, :applianceId, :compartmentId, NULL, :name, :purpose, :kind, :side, :position, :litres,
             :xMm, :yMm, :zMm, :widthMm, :depthMm, :heightMm, :assumedC, :humidity, :lifts, :rules)
         ON DUPLICATE KEY
     UPDATE compartment_id = VALUES(compartment_id), parent_id = NULL, name = VALUES(name), purpose = VALUES(purpose),
            kind = VALUES(kind), side = VALUES(side), position = VALUES(position), litres = VALUES(litres),
            x_mm = VALUES(x_mm), y_mm = VALUES(y_mm), z_mm = VALUES(z_mm), width_mm = VALUES(width_mm),
            depth_mm = VALUES(depth_mm), height_mm = VALUES(height_mm), temperature_c = VALUES(temperature_c),
            humidity = VALUES(humidity), lifts = VALUES(lifts), rules = VALUES(rules)`,
    { ...drawn, ...more, householdId, applianceId, rules: JSON.stringify(rules) },
  );
}

/** What the core works out for a zone and the rows keep beside it. */
export type ZoneMeasures = (zone: DrawnZone) => { lifts: number; assumedC: number };

/** Writes a drawing: everything in it, new or changed. What is no longer in it stays until `trimDrawing`. */
export async function putDrawing(
  sql: Sql,
  householdId: number,
  drawing: ApplianceDrawing,
  measuresOf: ZoneMeasures,
): Promise<void> {
  const { id, name, room, shape, compartments, zones } = drawing;
  await sql.run(
    `INSERT INTO appliance (id, household_id, name, room, shape, position)
     SELECT :id, :householdId, :name, :room, :shape, COALESCE(MAX(position) + 1, 0)
       FROM appliance
      WHERE household_id = :householdId
         ON DUPLICATE KEY
     UPDATE name = :name, room = :room, shape = :shape, version = appliance.version + 1`,
    { id, householdId, name, room, shape },
  );
  for (const [position, inside] of compartments.entries()) {
    await sql.run(
      `INSERT INTO compartment (id, household_id, appliance_id, position, name, cold, x_mm, y_mm, width_mm, height_mm, depth_mm,
                                door_mm)
       VALUES (:id, :householdId, :applianceId, :position, :name, :cold, :xMm, :yMm, :widthMm, :heightMm, :depthMm, :doorMm)
           ON DUPLICATE KEY
       UPDATE position = VALUES(position), name = VALUES(name), cold = VALUES(cold), x_mm = VALUES(x_mm), y_mm = VALUES(y_mm),
              width_mm = VALUES(width_mm), height_mm = VALUES(height_mm), depth_mm = VALUES(depth_mm), door_mm = VALUES(door_mm)`,
      { ...inside, householdId, applianceId: id, position },
    );
  }
  for (const [position, zone] of zones.entries()) {
    const more = { position, litres: ownLitres(zone, zones), ...measuresOf(zone) };
    await putZone(sql, householdId, id, zone, more);
  }
  for (const { id: zoneId, parentId } of zones) {
    if (parentId === null) continue;
    await sql.run(
      `UPDATE zone SET parent_id = :parentId WHERE household_id = :householdId AND id = :zoneId`,
      {
        householdId,
        zoneId,
        parentId,
      },
    );
  }
}

/** Takes out of the rows what is no longer drawn; nothing may lie there any more. `null`: the whole appliance. */
export async function trimDrawing(
  sql: Sql,
  householdId: number,
  applianceId: string,
  drawing: ApplianceDrawing | null,
): Promise<void> {
  const kept = {
    zones: drawing?.zones.map(({ id }) => id) ?? [],
    rooms: drawing?.compartments.map(({ id }) => id) ?? [],
  };
  const rows = await sql.rows<{ id: string }>(
    `SELECT id FROM zone WHERE household_id = :householdId AND appliance_id = :applianceId`,
    { householdId, applianceId },
  );
  const gone = rows.map(({ id }) => id).filter((id) => !kept.zones.includes(id));
  for (const zoneId of gone) {
    await sql.run(
      `UPDATE zone SET parent_id = NULL WHERE household_id = :householdId AND parent_id = :zoneId`,
      {
        householdId,
        zoneId,
      },
    );
  }
  for (const zoneId of gone) {
    await sql.run(`DELETE FROM zone_fill WHERE household_id = :householdId AND zone_id = :zoneId`, {
      householdId,
      zoneId,
    });
    await sql.run(`DELETE FROM zone WHERE household_id = :householdId AND id = :zoneId`, {
      householdId,
      zoneId,
    });
  }
  const rooms = await sql.rows<{ id: string }>(
    `SELECT id FROM compartment WHERE household_id = :householdId AND appliance_id = :applianceId`,
    { householdId, applianceId },
  );
  for (const { id } of rooms) {
    if (!kept.rooms.includes(id))
      await sql.run(`DELETE FROM compartment WHERE household_id = :householdId AND id = :id`, {
        householdId,
        id,
      });
  }
  if (drawing === null) {
    await sql.run(`DELETE FROM appliance WHERE household_id = :householdId AND id = :applianceId`, {
      householdId,
      applianceId,
    });
  }
}

/** Puts the appliances into an order. */
export async function putOrder(sql: Sql, householdId: number, ids: readonly string[]): Promise<void> {
  for (const [position, id] of ids.entries()) {
    await sql.run(
      `UPDATE appliance SET position = :position WHERE household_id = :householdId AND id = :id`,
      {
        householdId,
        id,
        position,
      },
    );
  }
}
