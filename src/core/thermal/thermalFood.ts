import type { Food } from '../foods/food';
import type { ThermalFood } from './foodProperties';

/** Share of air by volume: bread and ice cream (THERMAL 2); everything else is taken as solid. */
const PORES: Readonly<Record<string, number>> = {
  bread: 0.75,
  rolls: 0.75,
  bannocks: 0.75,
  'ice-cream': 0.45,
};
const WHOLE_BIRDS = ['chicken-whole', 'turkey-whole', 'duck', 'game-birds'];

/** A food of the table as heat sees it. */
export function thermalFood({ id, copyOf, composition, freezingPointC }: Food): ThermalFood {
  return { composition, freezingPointC, porosity: PORES[copyOf ?? id] ?? 0 };
}

/** A whole bird: hollow, and slower than its mass tells when small ones are measured by it. */
export const isWholeBird = ({ id, copyOf }: Food): boolean => WHOLE_BIRDS.includes(copyOf ?? id);

/** Whole birds need at least this long in a refrigerator by public advice: 24 h for each 2.3 kg. */
export const birdFloorHours = (massG: number): number => (24 * massG) / 2300;
