import type { CutDeed, Seen, TELLTALES } from '../model/cut';
import type { OutageClass } from '../model/outageClass';
import type { ForecastKind } from '../powercut/cutForecast';

/** An appliance of an exercise. What is hidden follows from the seed. */
export interface DrillPart {
  id: string;
  called: string;
  kind: ForecastKind;
  litres: number;
  /** 0 to 1. */
  fill: number;
  roomC: number;
  iceKg?: number;
  /** Whether there is something to read, or a bag of ice cubes to look at. */
  thermometer: boolean;
  telltale: boolean;
}

export interface DrillItem {
  id: string;
  food: string;
  called: string;
  grams: number;
  priceMinor: number;
  part: string;
  /** What soiled it, seen when one looks. */
  sign: keyof Seen | null;
}

/** An exercise: a cut of which the truth is hidden, to be found out and judged. */
export interface Drill {
  id: string;
  title: string;
  story: string;
  /** How long the power was off, whole hours. */
  hours: number;
  /** Anything the truth is drawn from. */
  seed: number;
  /** Whether anybody knows since when it was off. */
  since: 'told' | 'unknown';
  /** It froze again before anybody looked. */
  refroze: boolean;
  /** The power is off while one looks: every look lets warm air in and takes time. */
  stillOff: boolean;
  /** How often doors were opened meanwhile. */
  openings: number;
  parts: DrillPart[];
  items: DrillItem[];
}

/** Something that tells more, for so many minutes; `look` and `measure` go to one item. */
export type DrillEvidence =
  | { kind: 'read'; part: string }
  | { kind: 'log'; part: string }
  | { kind: 'telltale'; part: string }
  | { kind: 'look'; item: string }
  | { kind: 'measure'; item: string };

/** Minutes that each way of finding out takes. */
export const EVIDENCE_MINUTES: Readonly<Record<DrillEvidence['kind'], number>> = {
  read: 1,
  log: 3,
  telltale: 1,
  look: 2,
  measure: 4,
};

/** What one decides of an item. */
export const DRILL_CHOICES = ['keep', 'eat-soon', 'refreeze', 'cook-now', 'discard'] as const;
export type DrillChoice = 'keep' | CutDeed;

/** What a food is to the rules. */
export interface DrillFood {
  name: string;
  outageClass: OutageClass;
}

/** What a piece of evidence showed. */
export interface DrillFinding {
  evidence: DrillEvidence;
  minutes: number;
  /** Readings with the hour after the cut began, °C. */
  readings?: { atH: number; c: number }[];
  telltale?: (typeof TELLTALES)[number];
  seen?: Seen;
}
