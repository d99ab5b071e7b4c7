import { v4 as newUuid } from 'uuid';
import { sayOwnRules } from '@/core/placement/ownRule';
import type { ApplianceDrawing, ApplianceShape } from '@/core/model/drawing';
import { newAppliance, sameAgain, SHAPE_MODELS } from '@/core/kitchen/newAppliance';
import { sql } from '@/store/database';
import { drawingOf } from '@/store/kitchens';
import { readFills } from '@/store/today';
import { viewContext } from '../household/context';
import { Problem } from '../door/problem';

/** What the bench needs to know beside the drawing itself. */
export interface DrawView {
  /** `null`: it is not in the kitchen yet. */
  version: number | null;
  rooms: string[];
  /** Zones of it with food in them. */
  lying: { zone: string; name: string; cold: 'fridge' | 'freezer'; packages: number }[];
  /** Zones of the other appliances. */
  elsewhere: { id: string; name: string; cold: 'fridge' | 'freezer' }[];
}

/** A name nobody has: “Chest freezer”, “Chest freezer 2”. */
function freshName(title: string, names: readonly string[]): string {
  for (let count = 1; ; count++) {
    const name = count === 1 ? title : `${title} ${count}`;
    if (!names.includes(name)) return name;
  }
}

/** Begins the drawing of a new appliance, from a shape or from one that is in the kitchen already. @throws Problem 404 */
export async function beginDrawing(
  from: { shape: ApplianceShape } | { like: string },
): Promise<{ view: DrawView; drawing: ApplianceDrawing }> {
  const { kitchen } = await viewContext();
  const names = kitchen.appliances.map(({ name }) => name);
  const rooms = [...new Set(kitchen.appliances.map(({ room }) => room))];
  const view: DrawView = { version: null, rooms, lying: [], elsewhere: [] };
  if ('shape' in from) {
    const title = SHAPE_MODELS.find(({ id }) => id === from.shape)?.title ?? '';
    return {
      view,
      drawing: newAppliance(from.shape, freshName(title, names), rooms[0] ?? 'Kitchen', newUuid),
    };
  }
  const { drawing } = await readApplianceDrawing(from.like);
  return { view, drawing: sameAgain(drawing, freshName(drawing.name, names), newUuid) };
}

/** An appliance's drawing, to be changed. @throws Problem 404 */
export async function readApplianceDrawing(
  id: string,
): Promise<{ view: DrawView; drawing: ApplianceDrawing }> {
  const { household, kitchen } = await viewContext();
  const drawing = drawingOf(kitchen, id);
  const found = kitchen.appliances.find((one) => one.id === id);
  if (!drawing || !found) throw new Problem(404, 'not-found', 'There is no such appliance in this kitchen.');
  const fills = await readFills(sql(), household.id);
  return {
    drawing,
    view: {
      version: found.version,
      rooms: [...new Set(kitchen.appliances.map(({ room }) => room))],
      lying: kitchen.zones
        .filter(({ applianceId }) => applianceId === id)
        .map((zone) => ({
          zone: zone.id,
          name: zone.name,
          cold: zone.cold,
          packages: fills.get(zone.id)?.packages ?? 0,
        }))
        .filter(({ packages }) => packages > 0),
      elsewhere: kitchen.zones
        .filter(({ applianceId }) => applianceId !== id)
        .map((zone) => ({
          id: zone.id,
          name: `${zone.name}, ${zone.applianceName}${sayOwnRules(zone)}`,
          cold: zone.cold,
        })),
    },
  };
}
