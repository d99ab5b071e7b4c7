import type { DOORS, Reading, Seen, TELLTALES } from '../model/cut';
import type { Food } from '../model/food';
import type { OutageClass, OutageVerdict } from '../model/outageClass';

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
  /** When it was looked at; left out: at the end. */
  telltaleAt?: string;
  /** It was carried into a cool box on the way: frozen food keeps in it to the first look (O12). */
  carried?: boolean;
  /** The same food without power before, in the order it happened: cuts in a row, or places it was in meanwhile. They add up. */
  earlier?: readonly CutPiece[];
}

/** One stretch without power in one place. */
export type CutPiece = Pick<CutAppliance, 'kind' | 'fill' | 'from' | 'until' | 'doors' | 'readings'>;

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
