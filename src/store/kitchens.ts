import type { Sql } from './database';

/** An appliance as drawn: litres inside, °C as last read in the middle of a shelf. */
export interface ApplianceRecord {
  id: string;
  name: string;
  room: string;
  shape: 'fridge' | 'freezer' | 'drawer-freezer' | 'chest';
  cold: 'fridge' | 'freezer';
  position: number;
  litres: number;
  temperatureC: number;
}

/** A zone as drawn. Measures in mm and litres; `lifts` is what must be lifted out to reach it. */
export interface ZoneRecord {
  id: string;
  applianceId: string;
  parentId: string | null;
  name: string;
  purpose: string;
  kind: 'shelf' | 'drawer' | 'door' | 'bin' | 'basket' | 'layer';
  side: 'body' | 'door';
  position: number;
  litres: number;
  widthMm: number;
  depthMm: number;
  heightMm: number;
  temperatureC: number;
  humidity: 'low' | 'high' | null;
  lifts: number;
}

/** A zone with what its appliance lends it. */
export interface PlacedZone extends ZoneRecord {
  applianceName: string;
  cold: ApplianceRecord['cold'];
}

export interface Kitchen {
  appliances: ApplianceRecord[];
  zones: PlacedZone[];
}

interface ApplianceRow extends Omit<ApplianceRecord, 'litres' | 'temperatureC'> {
  litres: string;
  temperature_c: string;
}

interface ZoneRow {
  id: string;
  appliance_id: string;
  parent_id: string | null;
  name: string;
  purpose: string;
  kind: ZoneRecord['kind'];
  side: 'body' | 'door';
  position: number;
  litres: string;
  width_mm: number;
  depth_mm: number;
  height_mm: number;
  temperature_c: string;
  humidity: 'low' | 'high' | null;
  lifts: number;
  appliance_name: string;
  cold: ApplianceRecord['cold'];
}

const toZone = (row: ZoneRow): PlacedZone => ({
  id: row.id,
  applianceId: row.appliance_id,
  parentId: row.parent_id,
  name: row.name,
  purpose: row.purpose,
  kind: row.kind,
  side: row.side,
  position: row.position,
  litres: Number(row.litres),
  widthMm: row.width_mm,
  depthMm: row.depth_mm,
  heightMm: row.height_mm,
  temperatureC: Number(row.temperature_c),
  humidity: row.humidity,
  lifts: row.lifts,
  applianceName: row.appliance_name,
  cold: row.cold,
});

/** The household's appliances and zones in the cook's own order. */
export async function readKitchen(sql: Sql, householdId: number): Promise<Kitchen> {
  const appliances = await sql.rows<ApplianceRow>(
    `SELECT id, name, room, shape, cold, position, litres, temperature_c
       FROM appliance
      WHERE household_id = :householdId
      ORDER BY position`,
    { householdId },
  );
  const zones = await sql.rows<ZoneRow>(
    `SELECT zone.*, appliance.name AS appliance_name, appliance.cold
       FROM zone
       JOIN appliance ON appliance.id = zone.appliance_id
      WHERE zone.household_id = :householdId
      ORDER BY appliance.position, zone.side, zone.position`,
    { householdId },
  );
  return {
    appliances: appliances.map(({ temperature_c, litres, ...row }) => ({
      ...row,
      litres: Number(litres),
      temperatureC: Number(temperature_c),
    })),
    zones: zones.map(toZone),
  };
}

export async function addAppliance(sql: Sql, householdId: number, appliance: ApplianceRecord): Promise<void> {
  await sql.run(
    `INSERT INTO appliance (id, household_id, name, room, shape, cold, position, litres, temperature_c)
     VALUES (:id, :householdId, :name, :room, :shape, :cold, :position, :litres, :temperatureC)`,
    { ...appliance, householdId },
  );
}

export async function addZone(sql: Sql, householdId: number, zone: ZoneRecord): Promise<void> {
  await sql.run(
    `INSERT INTO zone (id, household_id, appliance_id, parent_id, name, purpose, kind, side, position, litres,
                       width_mm, depth_mm, height_mm, temperature_c, humidity, lifts)
     VALUES (:id, :householdId, :applianceId, :parentId, :name, :purpose, :kind, :side, :position, :litres,
             :widthMm, :depthMm, :heightMm, :temperatureC, :humidity, :lifts)`,
    { ...zone, householdId },
  );
}
