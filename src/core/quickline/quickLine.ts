import type { UnsaidAge } from './unsaidAge';
import type { Hemisphere } from '../calendar/hemisphere';
import type { CalendarDate } from '../calendar/calendarDate';
import type { FoodIndex, NamedFood } from '../foods/findFood';
import type { IntakeLine } from '../model/intakeLine';
import type { UnitSystem } from '../units/readAmount';
import type { DateOrder } from './dateWords';

/** What a stretch of the typed line means. */
export type Meaning =
  | 'food'
  | 'amount'
  | 'packs'
  | 'form'
  | 'wrap'
  | 'price'
  | 'place'
  | 'printed'
  | 'happened'
  | 'note'
  | 'unknown';

/** A stretch of the line, `from` and `to` as string offsets, with what was understood in words. */
export interface QuickPart {
  meaning: Meaning;
  from: number;
  to: number;
  says: string;
  /** It was guessed (a slip of the pen, a zone out of several): shown with a mark. */
  guessed?: boolean;
}

/** What keeps the line from being stored. `candidates` replace the stretch when picked, the likeliest first. */
export interface QuickFault {
  from: number;
  to: number;
  says: string;
  candidates: string[];
  /** An unknown food: it may be made on the spot, kept like one of these. */
  unknownFood?: {
    name: string;
    like: { id: string; name: string }[];
    /** One of each kind of food: none is likelier than another, so Enter takes none. */
    groups?: boolean;
  };
}

export interface QuickZone {
  id: string;
  name: string;
  appliance: string;
  cold: 'fridge' | 'freezer';
  kind?: string;
  side?: string;
}

/** All that reading a line needs from outside. */
export interface QuickVocabulary<F extends NamedFood = NamedFood> {
  foods: FoodIndex<F>;
  zones: readonly QuickZone[];
  today: CalendarDate;
  /** Whose pints and cups are meant; not told: metric. */
  units?: UnitSystem;
  /** Day or month first in figures; not told: the day. */
  dateOrder?: DateOrder;
  /** Seasons are told by it. */
  hemisphere?: Hemisphere;
  /** How often each food is here, by id: of several that may be meant the likeliest. */
  here?: Readonly<Record<string, number>>;
  /** Where what the line names lies already (first fill): a date is the day it came there, frozen if it is a freezer. */
  zoneId?: string;
  /** How old a thing is whose line says no age (first fill); `null`: that is still to be asked; left out: it came in today. */
  unsaidAge?: UnsaidAge | null;
  /** True where something that is here is meant: of several foods that may be, the only one that is here. */
  ofStock?: boolean;
  /** True where a place is found afterwards (the bench), so that none need be asked for. */
  placedLater?: boolean;
}

/** The line as understood so far; a line with faults must not be stored. */
export interface QuickReading {
  text: string;
  parts: QuickPart[];
  faults: QuickFault[];
  /** A food made with the line: the line names it, its figures are those of `copy`. */
  ownFood: { name: string; copy: string } | null;
  line: IntakeLine | null;
}
