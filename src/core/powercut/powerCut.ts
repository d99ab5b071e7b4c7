import type { Food } from '../model/food';
import type { OutageClass, OutageVerdict } from '../model/outageClass';

export const DOORS = ['shut', 'opened', 'unknown'] as const;
export const TELLTALES = ['none', 'loose', 'rounded', 'one-block', 'water'] as const;

/** A thermometer in the middle of a shelf, °C, at an instant (ISO 8601). */
export interface Reading {
  at: string;
  c: number;
}

/** One appliance without power. `until` is `null` while the cut lasts. */
export interface CutAppliance {
  id: string;
  kind: 'fridge' | 'freezer';
  /** Share of the volume that is filled, 0 to 1. */
  fill: number;
  from: string;
  until: string | null;
  doors: (typeof DOORS)[number];
  readings: readonly Reading[];
  telltale: (typeof TELLTALES)[number];
}

/** What the cook saw of one item. A key that is missing was not looked at. */
export interface Seen {
  iceCrystals?: boolean;
  measuredC?: number | null;
  mould?: boolean;
  slime?: boolean;
  offSmell?: boolean;
  sealBroken?: boolean;
  drippedOn?: boolean;
  flooded?: boolean;
}

export interface CutItem {
  id: string;
  food: Pick<Food, 'name'>;
  outageClass: OutageClass;
  seen: Seen;
  /** It cannot be reached or told apart. */
  cannotCheck: boolean;
}

export type Certainty = 'measured' | 'published' | 'assumed';

export interface ItemVerdict {
  id: string;
  verdict: OutageVerdict;
  rule: string;
  /** What the verdict rests on, in words. */
  evidence: string;
  certainty: Certainty;
  says: string;
  source: string;
}

/** Where the published hours come from. */
export const LIMIT_SOURCE = 'FoodSafety.gov power outage guidance';
