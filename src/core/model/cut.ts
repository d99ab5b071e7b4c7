import type { AmountUnit } from '../units/sayAmount';
import type { OutageVerdict } from './outageClass';

export const DOORS = ['shut', 'opened', 'unknown'] as const;
export const TELLTALES = ['none', 'loose', 'rounded', 'one-block', 'water'] as const;

/** A thermometer in the middle of a shelf, °C, at an instant (ISO 8601). */
export interface Reading {
  at: string;
  c: number;
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

/** A compartment that lost its power, or where food was brought meanwhile. */
export interface CutPart {
  /** Of the drawn compartment; a cool box or a neighbour's freezer has one of its own. */
  id: string;
  called: string;
  kind: 'fridge' | 'freezer';
  /** False for a cool box or a neighbour's. */
  drawn: boolean;
  /** Share of the volume that is filled, 0 to 1. */
  fill: number;
  doors: (typeof DOORS)[number];
  telltale: (typeof TELLTALES)[number];
  /** When it was looked at; left out: nobody knows. */
  telltaleAt?: string;
  /** The zones in it when the cut began, whatever is drawn since. */
  zones?: readonly string[];
  /** By its log it stayed warm until then, after the power was told to be back (O14). */
  warmUntil?: string;
  /** How warm it is around it, °C. */
  roomC: number;
  /** Ice packs and water bottles in it, kg. */
  iceKg: number;
  waterKg: number;
}

/** A usual room, °C. */
export const USUAL_ROOM_C = 22;

/** One power cut of some compartments. Instants are ISO 8601 UTC. */
export interface Cut {
  id: string;
  from: string;
  /** `null` while it lasts. */
  until: string | null;
  /** When the desk was put away; `null`: still open. */
  closedAt: string | null;
  parts: CutPart[];
}

/** A thermometer read for a cut, in its own part. */
export interface CutReading extends Reading {
  id: string;
  cut: string;
  part: string;
}

/** A door that was opened during a cut. */
export interface CutOpening {
  id: string;
  cut: string;
  part: string;
  at: string;
  seconds: number;
}

/** What was seen of one package in a cut, and where it was brought meanwhile. */
export interface CutSeen {
  cut: string;
  package: string;
  seen: Seen;
  /** When that was seen; left out: nobody knows. */
  at?: string;
  /** Into a cool box or to a neighbour, and when; `backAt`: when it was back in its place. */
  movedTo: { part: string; at: string; backAt?: string } | null;
}

/** What is prepared before a storm. */
export interface CutPlan {
  /** ISO 8601 UTC; `null`: no storm is expected. */
  expected: string | null;
  /** Lines of the checklist that are done. */
  ticked: string[];
}

/** How an exercise went, the best of all tries. */
export interface DrillRecord {
  drill: string;
  plays: number;
  safe: boolean;
  /** Share of what might have been eaten that was thrown out, 0 to 1. */
  wasted: number;
  minutes: number;
}

/** What is done about a verdict. */
export const CUT_DEEDS = ['discard', 'cook-now', 'eat-soon', 'refreeze'] as const;
export type CutDeed = (typeof CUT_DEEDS)[number];

/** What came of one package. */
export interface CutOutcome {
  package: string;
  code: string;
  called: string;
  amount: number;
  unit: AmountUnit;
  /** Minor units of the household's currency; `null`: not known. */
  priceMinor: number | null;
  did: CutDeed;
  verdict: OutageVerdict;
  rule: string;
  evidence: string;
}

/** What one command decided for several packages: one undo takes it all back. */
export interface CutDecided {
  id: string;
  cut: string;
  at: string;
  things: CutOutcome[];
}
