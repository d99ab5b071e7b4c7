import type { Cut, CutDecided, CutOpening, CutPlan, CutReading, CutSeen, DrillRecord } from './cut';
import type { Meal, MealRhythm } from './meal';
import type { Looked, Reset, Round, RoundRhythm } from './round';
import type { CalendarDate } from '../calendar/calendarDate';
import type { LogDay, Thermometer } from './thermometer';
import type { AmountUnit } from '../units/sayAmount';

/** A pack of a thing: 500 g, 1 l, 6 pieces. */
export interface PackSize {
  amount: number;
  unit: AmountUnit;
}

/** `at-least`: so many are kept; `never-out`: there is always one, whatever is eaten; `on-offer`: bought only when it is cheap. */
export const LEVEL_KINDS = ['never-out', 'at-least', 'on-offer'] as const;

/** How much of a food a household keeps. */
export interface Level {
  kind: (typeof LEVEL_KINDS)[number];
  /** Meal packs: so many labels. */
  packs: number;
  /** What one is; `null`: as most of them are here. */
  size: PackSize | null;
}

/** Something to buy. */
export interface ShoppingLine {
  id: string;
  /** `null`: nothing that is eaten from the cold store; only words. */
  food: string | null;
  called: string;
  packs: number;
  size: PackSize | null;
  ticked: boolean;
}

/** A set that is filled again and again: a smoothie bag, the salad shelf, noodle night. */
export interface Kit {
  id: string;
  name: string;
  /** How many sets are to be ready. */
  sets: number;
  parts: { food: string; called: string; amount: number; unit: AmountUnit }[];
}

/** Words that somebody asks the stock again and again. */
export interface KeptAsking {
  words: string;
}

/** A list that was printed for the door of an appliance, as it was then. */
export interface DoorSheet {
  /** The code to come back by. */
  code: string;
  appliance: string;
  called: string;
  /** ISO 8601 UTC. */
  printedAt: string;
  /** Packs told as one, each with a box to cross out. */
  groups: { name: string; packages: string[] }[];
}

/** What came in with something is to be looked at: that was found bad, or entered wrongly. */
export interface LotLook {
  code: string;
  called: string;
  on: CalendarDate;
  why: 'bad' | 'corrected';
}

/** Small things a household keeps, each whole under a subject: nothing but themselves depends on them. */
export interface Kept {
  level: Level;
  shopping: ShoppingLine;
  asking: KeptAsking;
  kit: Kit;
  sheet: DoorSheet;
  cut: Cut;
  'cut-reading': CutReading;
  'cut-opening': CutOpening;
  'cut-seen': CutSeen;
  'cut-decided': CutDecided;
  'cut-plan': CutPlan;
  drill: DrillRecord;
  thermometer: Thermometer;
  meal: Meal;
  /** How the household eats; one, under ''. */
  rhythm: MealRhythm;
  round: Round;
  /** Under the package. */
  looked: Looked;
  /** How often the household looks; one, under ''. */
  'round-rhythm': RoundRhythm;
  reset: Reset;
  /** Under the compartment and the day. */
  'log-day': LogDay;
  /** Groups of foods in the order of the household's own way through the shop; one, under ''. */
  'shop-order': string[];
  /** Under the lot. */
  'lot-look': LotLook;
}
export const KEPT_KINDS = [
  'level',
  'shopping',
  'asking',
  'kit',
  'sheet',
  'cut',
  'cut-reading',
  'cut-opening',
  'cut-seen',
  'cut-decided',
  'cut-plan',
  'drill',
  'thermometer',
  'meal',
  'rhythm',
  'round',
  'looked',
  'round-rhythm',
  'reset',
  'log-day',
  'shop-order',
  'lot-look',
] as const satisfies (keyof Kept)[];
export type KeptKind = (typeof KEPT_KINDS)[number];

/** One of them as a setting; `null`: not kept any more. */
export type KeptSetting = { [K in KeptKind]: { kind: K; subject: string; value: Kept[K] | null } }[KeptKind];
