/** Coefficients of heat transfer in W/(m²·K) with one bag layer, radiation and condensation: low, typical, high. */
export interface HeatMedium {
  h: readonly [low: number, mid: number, high: number];
  /** The side on metal; `null`: there is none. */
  metal: readonly [low: number, mid: number, high: number] | null;
  /** Default surroundings, °C. */
  ambientC: number;
  /** How far the cautious side moves the surroundings, K. */
  doubtK: number;
  /** A refrigerator: public advice sets the least hours of whole birds. */
  fridge?: boolean;
}

export const FREEZE_MEDIA = {
  still: { h: [5.5, 8, 11], metal: null, ambientC: -18, doubtK: 1 },
  tray: { h: [5.5, 8, 11], metal: [14, 22, 35], ambientC: -18, doubtK: 1 },
  stacked: { h: [2.5, 4, 6], metal: null, ambientC: -18, doubtK: 1 },
  fan: { h: [9, 14, 22], metal: null, ambientC: -18, doubtK: 1 },
} as const satisfies Record<string, HeatMedium>;

export const THAW_MEDIA = {
  fridge: { h: [8, 11, 16], metal: null, ambientC: 4, doubtK: 1, fridge: true },
  'fridge-fan': { h: [10, 14, 20], metal: null, ambientC: 4, doubtK: 1, fridge: true },
  'cold-water': { h: [70, 120, 200], metal: null, ambientC: 12, doubtK: 3 },
  'cold-water-changed': { h: [100, 160, 300], metal: null, ambientC: 15, doubtK: 3 },
  metal: { h: [8, 11, 15], metal: [20, 40, 60], ambientC: 22, doubtK: 1 },
  counter: { h: [8, 11, 15], metal: null, ambientC: 22, doubtK: 1 },
} as const satisfies Record<string, HeatMedium>;

export type FreezeMedium = keyof typeof FREEZE_MEDIA;
export type ThawMedium = keyof typeof THAW_MEDIA;
