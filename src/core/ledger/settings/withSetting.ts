import type { LeadDays } from '../../firstout/askOn';
import { wishedFood } from '../../foods/wish';
import { assumedCelsius } from '../../kitchen/assumedCelsius';
import type { ApplianceDrawing } from '../../model/drawing';
import type { Zone } from '../../model/package';
import type { Setting } from '../../model/setting';
import type { World } from '../../model/world';

/** The world as it is once something has been set. */
export function withSetting(world: World, setting: Setting): World {
  switch (setting.kind) {
    case 'household':
      return { ...world, settings: setting.value, caution: setting.value.caution };
    case 'wish': {
      const { subject, value } = setting;
      const wished = wishedFood(world.referenceFood(subject).food, value);
      return {
        ...world,
        wish: (id) => (id === subject ? value : world.wish(id)),
        food: (id) => (id === subject ? wished : world.food(id)),
      };
    }
    case 'appliance':
      return withDrawing(world, setting.subject, setting.value);
    case 'measured':
      return {
        ...world,
        measured: (id) => (id === setting.subject ? setting.value : world.measured(id)),
        zone: (id) => {
          const zone = world.zone(id);
          return id === setting.subject
            ? { ...zone, temperatureC: setting.value?.celsius ?? zone.assumedC }
            : zone;
        },
      };
    case 'food':
    case 'job':
    case 'order':
    case 'container':
    case 'haul':
    case 'haul-line':
    case 'code':
      return world;
  }
}

/** The world with an appliance drawn otherwise, or not at all. */
function withDrawing(world: World, id: string, drawing: ApplianceDrawing | null): World {
  const drawn = new Map((drawing ? zonesOf(drawing, world) : []).map((zone) => [zone.id, zone]));
  const before = new Set(world.appliance(id)?.drawing.zones.map((zone) => zone.id));
  return {
    ...world,
    hasZone: (zoneId) => drawn.has(zoneId) || (!before.has(zoneId) && world.hasZone(zoneId)),
    zone: (zoneId) => drawn.get(zoneId) ?? world.zone(zoneId),
  };
}

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

/** Days ahead that a food's packages are told of: its own wish, else the household's. */
export function leadOf(world: Pick<World, 'wish' | 'settings'>, foodId: string): LeadDays {
  const own = world.wish(foodId).leadDays;
  return { chilled: own ?? world.settings.leadChilled, frozen: own ?? world.settings.leadFrozen };
}
