import type { ForecastKind } from '@/core/powercut/cutForecast';
import { forecastKindOf } from '@/core/powercut/forecastKindOf';
import type { HouseholdContext } from '../household/context';
import { readDrawing } from '../kitchen/drawing';

/** A compartment as the desk shows and forecasts it. */
export interface DeskPart {
  id: string;
  called: string;
  kind: 'fridge' | 'freezer';
  forecast: ForecastKind;
  litres: number;
  fill: number;
  free_litres: number;
  temperature_c: number;
}

/** Every cold room that is drawn, in the order of doors. */
export async function readDeskParts(context: HouseholdContext): Promise<DeskPart[]> {
  const drawing = await readDrawing(context);
  return drawing.flatMap(({ shape, compartments, zones }) =>
    compartments.map((inside) => ({
      id: inside.id,
      called: inside.called,
      kind: inside.cold,
      forecast: forecastKindOf(shape, inside.cold),
      litres: Math.round(
        zones.filter((zone) => zone.compartment_id === inside.id).reduce((sum, zone) => sum + zone.litres, 0),
      ),
      fill: inside.fill,
      free_litres: inside.free_litres,
      temperature_c: inside.temperature_c,
    })),
  );
}
