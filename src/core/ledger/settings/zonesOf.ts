import { assumedCelsius } from '../../kitchen/assumedCelsius';
import type { ApplianceDrawing } from '../../model/drawing';
import type { Zone } from '../../model/package';
import type { World } from '../../model/world';

/** The zones of a drawing as packages know them: what was measured wins over what is assumed. */
export function zonesOf(drawing: ApplianceDrawing, world: Pick<World, 'measured'>): Zone[] {
  return drawing.zones.map((zone) => {
    const inside = drawing.compartments.find(({ id }) => id === zone.compartmentId);
    const assumedC = assumedCelsius(zone, drawing).celsius;
    return {
      id: zone.id,
      name: zone.name,
      applianceId: drawing.id,
      applianceName: drawing.name,
      cold: inside?.cold ?? 'fridge',
      kind: zone.kind,
      side: zone.side,
      only: zone.only,
      never: zone.never,
      person: zone.person,
      temperatureC: world.measured(zone.id)?.celsius ?? assumedC,
      assumedC,
    };
  });
}
