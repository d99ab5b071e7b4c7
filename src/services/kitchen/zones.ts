import { viewContext } from '../household/context';

export interface ZoneListing {
  id: string;
  name: string;
  purpose: string;
  kind: string;
  cold: 'fridge' | 'freezer';
  appliance: { id: string; name: string; room: string };
  temperature_c: number;
  litres: number;
  width_mm: number;
  depth_mm: number;
  height_mm: number;
  lifts: number;
}

/** The household's zones in the cook's own order. */
export async function readZones(): Promise<{ zones: ZoneListing[] }> {
  const { kitchen } = await viewContext();
  const appliances = new Map(kitchen.appliances.map((appliance) => [appliance.id, appliance]));
  return {
    zones: kitchen.zones.flatMap((zone) => {
      const appliance = appliances.get(zone.applianceId);
      if (!appliance) return [];
      return [
        {
          id: zone.id,
          name: zone.name,
          purpose: zone.purpose,
          kind: zone.kind,
          cold: zone.cold,
          appliance: { id: appliance.id, name: appliance.name, room: appliance.room },
          temperature_c: zone.temperatureC,
          litres: zone.litres,
          width_mm: zone.widthMm,
          depth_mm: zone.depthMm,
          height_mm: zone.heightMm,
          lifts: zone.lifts,
        },
      ];
    }),
  };
}
