import kinds from './coolingKinds.json';

/** Appliances of which a power cut is forecast. */
export const FORECAST_KINDS = ['fridge', 'chest', 'upright', 'top-freezer', 'drawer-freezer'] as const;
export type ForecastKind = (typeof FORECAST_KINDS)[number];

/** Figures of a kind (THERMAL 6): walls in W/K per V^(2/3), load, start, door heat. */
export interface CoolingKind {
  /** u at 5 %, the middle, 95 %. */
  u: number[];
  packKgPerL: number;
  startC: number;
  doorKJPerM3: number;
  refK: number;
}

export const COOLING_KINDS: Readonly<Record<ForecastKind, CoolingKind>> = kinds;

/** What is asked: the appliance, what happened so far, how far to look. */
export interface CutRequest {
  kind: ForecastKind;
  litres: number;
  /** 0 to 1. */
  fill: number;
  iceKg: number;
  waterKg: number;
  /** `null`: the kind's own. */
  startC: number | null;
  ambientC: number;
  openings: { atH: number; seconds: number }[];
  /** Air temperatures, in order of time. */
  readings: { atH: number; c: number }[];
  /** Blankets around it: its walls let in so much less; left out: 1. */
  walls?: number;
  hours: number;
  samples: number;
  seed: number;
}

/** Chances of one sample; standard normals in the order of THERMAL 7. */
export const DRAWS = 8;
