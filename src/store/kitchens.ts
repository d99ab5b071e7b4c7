import { boxLitres } from '@/core/kitchen/boxes';
import type {
  ApplianceDrawing,
  ApplianceShape,
  Cold,
  Compartment,
  DrawnZone,
  ZoneRules,
} from '@/core/model/drawing';
import { fromJson, fromSqlInstant, type Sql } from './database';

/** An appliance in the cook's own order; its version grows with every change of the drawing. */
export interface ApplianceRecord {
  id: string;
  name: string;
  room: string;
  shape: ApplianceShape;
  position: number;
  version: number;
}

/** A compartment with what lists call it, its litres, and the °C in the middle of it. */
export interface PlacedCompartment extends Compartment {
  applianceId: string;
  /** The appliance's name, with its own where the appliance has several. */
  called: string;
  litres: number;
  /** Measured, else assumed, °C. */
  temperatureC: number;
  /** True where a thermometer was read in its body. */
  measured: boolean;
}

/** A zone with what its appliance and compartment lend it. */
export interface PlacedZone extends DrawnZone {
  applianceId: string;
  applianceName: string;
  cold: Cold;
  /** What it holds by itself, without the zones nested in it. */
  litres: number;
  /** What must be lifted out to reach it. */
  lifts: number;
  /** Measured, else assumed, °C. */
  temperatureC: number;
  assumedC: number;
  measured: { celsius: number; at: string } | null;
}

export interface Kitchen {
  appliances: ApplianceRecord[];
  compartments: PlacedCompartment[];
  zones: PlacedZone[];
}

interface CompartmentRow {
  id: string;
  appliance_id: string;
  name: string;
  cold: Cold;
  x_mm: number;
  y_mm: number;
  width_mm: number;
  height_mm: number;
  depth_mm: number;
  door_mm: number;
}

interface ZoneRow extends Omit<CompartmentRow, 'door_mm'> {
  compartment_id: string;
  parent_id: string | null;
  purpose: string;
  kind: DrawnZone['kind'];
  side: DrawnZone['side'];
  litres: string;
  z_mm: number;
  temperature_c: string;
  measured_c: string | null;
  measured_at: string | null;
  humidity: 'low' | 'high' | null;
  lifts: number;
  rules: unknown;
  appliance_name: string;
}

const toZone = (row: ZoneRow): PlacedZone => ({
  id: row.id,
  applianceId: row.appliance_id,
  applianceName: row.appliance_name,
  compartmentId: row.compartment_id,
  parentId: row.parent_id,
  name: row.name,
  purpose: row.purpose,
  kind: row.kind,
  side: row.side,
  cold: row.cold,
  xMm: row.x_mm,
  yMm: row.y_mm,
  zMm: row.z_mm,
  widthMm: row.width_mm,
  heightMm: row.height_mm,
  depthMm: row.depth_mm,
  humidity: row.humidity,
  litres: Number(row.litres),
  lifts: row.lifts,
  temperatureC: Number(row.measured_c ?? row.temperature_c),
  assumedC: Number(row.temperature_c),
  measured:
    row.measured_c === null || row.measured_at === null
      ? null
      : { celsius: Number(row.measured_c), at: fromSqlInstant(row.measured_at) },
  ...fromJson<ZoneRules>(row.rules),
});

/** The °C of a compartment: of what was measured in its body the middle, the warmer of two; nothing measured: of all. */
function middleCelsius(zones: readonly PlacedZone[], cold: Cold): number {
  const body = zones.filter(({ side }) => side === 'body');
  const measured = body.filter((zone) => zone.measured !== null);
  const sorted = (measured.length > 0 ? measured : body)
    .map(({ temperatureC }) => temperatureC)
    .sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? (cold === 'fridge' ? 4 : -18);
}

function toCompartment(row: CompartmentRow, called: string, zones: readonly PlacedZone[]): PlacedCompartment {
  const sizes = { widthMm: row.width_mm, heightMm: row.height_mm, depthMm: row.depth_mm };
  return {
    id: row.id,
    applianceId: row.appliance_id,
    name: row.name,
    called,
    cold: row.cold,
    xMm: row.x_mm,
    yMm: row.y_mm,
    ...sizes,
    doorMm: row.door_mm,
    litres: Math.round(boxLitres({ ...sizes, xMm: 0, yMm: 0, zMm: 0 })),
    temperatureC: middleCelsius(
      zones.filter(({ compartmentId }) => compartmentId === row.id),
      row.cold,
    ),
    measured: zones.some(
      ({ compartmentId, side, measured }) => compartmentId === row.id && side === 'body' && measured !== null,
    ),
  };
}

/** The household's appliances, compartments and zones in the cook's own order, zones from the top down. */
export async function readKitchen(sql: Sql, householdId: number): Promise<Kitchen> {
  const appliances = await sql.rows<ApplianceRecord>(
    `SELECT id, name, room, shape, position, version
       FROM appliance
      WHERE household_id = :householdId
      ORDER BY position, id`,
    { householdId },
  );
  const compartments = await sql.rows<CompartmentRow>(
    `SELECT id, appliance_id, name, cold, x_mm, y_mm, width_mm, height_mm, depth_mm, door_mm
       FROM compartment
      WHERE household_id = :householdId
      ORDER BY position`,
    { householdId },
  );
  const zones = (
    await sql.rows<ZoneRow>(
      `SELECT zone.*, appliance.name AS appliance_name, compartment.cold
         FROM zone
         JOIN appliance ON appliance.household_id = zone.household_id AND appliance.id = zone.appliance_id
         JOIN compartment ON compartment.household_id = zone.household_id AND compartment.id = zone.compartment_id
        WHERE zone.household_id = :householdId
        ORDER BY appliance.position, appliance.id, compartment.position, zone.side, zone.position`,
      { householdId },
    )
  ).map(toZone);
  return {
    appliances,
    zones,
    compartments: appliances.flatMap(({ id, name }) => {
      const mine = compartments.filter((one) => one.appliance_id === id);
      return mine.map((row) =>
        toCompartment(
          row,
          mine.length > 1 && row.name !== '' ? `${name}, ${row.name.toLowerCase()}` : name,
          zones,
        ),
      );
    }),
  };
}

/** An appliance as the core draws it; `null`: there is none. */
export function drawingOf({ appliances, compartments, zones }: Kitchen, id: string): ApplianceDrawing | null {
  const found = appliances.find((one) => one.id === id);
  if (!found) return null;
  const { name, room, shape } = found;
  return {
    id,
    name,
    room,
    shape,
    compartments: compartments
      .filter(({ applianceId }) => applianceId === id)
      .map(({ applianceId: _a, called: _c, litres: _l, temperatureC: _t, measured: _m, ...one }) => one),
    zones: zones
      .filter(({ applianceId }) => applianceId === id)
      .map(
        ({
          applianceId: _a,
          applianceName: _n,
          cold: _c,
          litres: _l,
          lifts: _i,
          temperatureC: _t,
          assumedC: _s,
          measured: _m,
          ...zone
        }) => zone,
      ),
  };
}
