import type { CalendarDate } from '../calendar/calendarDate';
import type { PrintedDate, Start } from './history';
import type { AmountUnit } from '../units/sayAmount';

/** Where a pack of a haul is meant to go. */
export const GOALS = ['fridge', 'freezer', 'room'] as const;
export type Goal = (typeof GOALS)[number];

/** A place that was told. */
export interface ToldPlace {
  zone: string | null;
  day: number;
}

/** One intake session: a shop, a harvest or a cooking batch, from the counter to the zones. */
export interface Haul {
  id: string;
  name: string;
  /** When it was begun, ISO 8601 UTC. */
  begunAt: string;
  /** When its food left the cold: the shop's, or the household's own. ISO 8601 UTC. */
  leftAt: string;
  /** Since when it counts as out of the cold: since then, or in a cold bag since that was opened here. */
  outSince: string;
  /** It came in a closed bag with ice packs. */
  coldBag: boolean;
  /** Above 32 °C where it stands: half the time. */
  hot: boolean;
  /** The freezer's fast-freeze switch is on: it takes more in a day. */
  fastFreeze: boolean;
  /** Steps of hygiene that were done, by id. */
  hygiene: string[];
  /**
   * Where each package was told to go when the walk began, by its id, and on which day to the freezer (from today = 1; 0: it is
   * not frozen). What was told stays told.
   */
  plan?: Readonly<Record<string, ToldPlace>>;
  /** Photos of its receipt, by id. */
  receipts?: readonly string[];
  /** When everything was put away; `null`: it is open. */
  closedAt: string | null;
}

/** Packs of a line that are packed alike and go the same way. */
export interface HaulPart {
  /** Whole grams, millilitres or pieces of each pack. */
  amounts: number[];
  /** How it is packed, by id of packings.json. */
  packing: string;
  /** A container of the household's, by id; `null`: the usual one for the packing. */
  container: string | null;
  goes: Goal;
  /** The zone the cook chose; `null`: as the solver proposes. */
  zone: string | null;
}

/** A timer of a preparation step. */
export interface HaulTimer {
  step: string;
  name: string;
  /** ISO 8601 UTC. */
  endsAt: string;
}

/** One thing that came in, while it is worked on. */
export interface HaulLine {
  id: string;
  haul: string;
  /** Order in which it was told. */
  position: number;
  food: string;
  called: string;
  amount: number;
  unit: AmountUnit;
  /** How many pieces the amount is, when the cook counts them; they are never cut. */
  pieces: number | null;
  /** Minor units, for the whole line. */
  priceMinor: number | null;
  /** `frozen`: it came in hard frozen (K5). */
  start: { did: Start; on: CalendarDate; frozen?: boolean };
  printed: PrintedDate | null;
  openedOn: CalendarDate | null;
  parts: HaulPart[];
  /** Ways of preparing it that were chosen, by id of preparations.json. */
  preparation: string[];
  timers: HaulTimer[];
  /** Cooking instructions, for the label. */
  cooking: string;
  /** Portioned by eye: its labels say "about". */
  byEye: boolean;
  /** Minutes out of the cold before the present stay. */
  stoodMinutes: number;
  /** Since when it stands out, ISO 8601 UTC; `null`: back in the cold until its turn. */
  outSince: string | null;
  /** Ids of its packages, in the order of its parts' amounts; `null`: not packed yet. */
  packages: string[] | null;
  version: number;
}

/** What a scanned code stands for in this household. */
export interface LearnedCode {
  food: string;
  called: string;
  amount: number;
  unit: AmountUnit;
}
