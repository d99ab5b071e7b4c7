/** A kind of container the household owns. Measures in mm: along, across, high. */
export interface Container {
  id: string;
  name: string;
  outerMm: [long: number, wide: number, high: number];
  innerMm: [long: number, wide: number, high: number];
  litres: number;
  lid: boolean;
  leakproof: boolean;
  /** Keeps its shape; a bag does not. */
  rigid: boolean;
  /** How many of them there are. */
  count: number;
}
