import type { Food } from '../model/food';
import type { ThermalFood } from './foodProperties';

/** Share of air by volume: bread and ice cream (THERMAL 2); everything else is taken as solid. */
const PORES: Readonly<Record<string, number>> = {
  bread: 0.75,
  rolls: 0.75,
  bannocks: 0.75,
  'ice-cream': 0.45,
};

/** A food of the table as heat sees it. */
export function thermalFood({ id, copyOf, composition, freezingPointC }: Food): ThermalFood {
  return { composition, freezingPointC, porosity: PORES[copyOf ?? id] ?? 0 };
}

/** Grams of a whole bird that thaw in 24 hours in a refrigerator: at the quick and at the slow end of public advice (THERMAL 4). */
const QUICK_BIRD_G_A_DAY = 2300;
const SLOW_BIRD_G_A_DAY = 1800;

/** Hours that a whole bird needs in a refrigerator at least, by public advice: typical, and to be sure. */
export const birdFloorHours = (massG: number): { typical: number; cautious: number } => ({
  typical: (24 * massG) / QUICK_BIRD_G_A_DAY,
  cautious: (24 * massG) / SLOW_BIRD_G_A_DAY,
});
