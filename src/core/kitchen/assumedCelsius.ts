import { placedBox } from './boxes';
import type { ApplianceDrawing, DrawnZone } from '../model/drawing';
import temperatures from './assumedTemperatures.json';

/** A temperature nobody measured, with what it rests on. */
export interface Assumed {
  celsius: number;
  says: string;
}

/**
 * The temperature a zone is taken to have until it is measured, °C: by kind of compartment, by door or body, and by how
 * low it lies.
 *
 * The figures are our own cautious reading of public guidance (a fridge is kept at 0 to 4 °C, its door is the warmest, its lower
 * back the coldest; a freezer is kept at −18 °C); `assumedTemperatures.json` holds them.
 */
export function assumedCelsius(zone: DrawnZone, drawing: ApplianceDrawing): Assumed {
  const inside = drawing.compartments.find(({ id }) => id === zone.compartmentId);
  const cold = inside?.cold ?? 'fridge';
  const figures = temperatures[cold];
  if (zone.side === 'door') return figures.door;
  if (drawing.shape === 'chest') {
    const { yMm } = placedBox(zone, drawing.zones);
    return yMm === 0 ? temperatures.chest.top : temperatures.chest.below;
  }
  if (cold === 'freezer') return temperatures.freezer.body;
  if (zone.kind === 'drawer') return temperatures.fridge.drawer;
  const { yMm, heightMm } = placedBox(zone, drawing.zones);
  const middle = (yMm + heightMm / 2) / (inside?.heightMm ?? 1);
  const { upper, middle: between, lower } = temperatures.fridge;
  return middle < 1 / 3 ? upper : middle < 2 / 3 ? between : lower;
}
