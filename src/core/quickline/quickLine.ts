import type { CalendarDate } from '../calendar/calendarDate';
import type { FoodIndex, NamedFood } from '../foods/findFood';
import type { IntakeLine } from '../model/intakeLine';

/** What a stretch of the typed line means. */
export type Meaning =
  'food' | 'amount' | 'packs' | 'form' | 'wrap' | 'price' | 'place' | 'printed' | 'happened' | 'unknown';

/** A stretch of the line, `from` and `to` as string offsets, with what was understood in words. */
export interface QuickPart {
  meaning: Meaning;
  from: number;
  to: number;
  says: string;
}

/** What keeps the line from being stored. `candidates` replace the stretch when picked. */
export interface QuickFault {
  from: number;
  to: number;
  says: string;
  candidates: string[];
}

export interface QuickZone {
  id: string;
  name: string;
  appliance: string;
  cold: 'fridge' | 'freezer';
}

/** All that reading a line needs from outside. */
export interface QuickVocabulary<F extends NamedFood = NamedFood> {
  foods: FoodIndex<F>;
  zones: readonly QuickZone[];
  today: CalendarDate;
}

/** The line as understood so far; a line with faults must not be stored. */
export interface QuickReading {
  text: string;
  parts: QuickPart[];
  faults: QuickFault[];
  line: IntakeLine | null;
}
