import type { CalendarDate } from '../calendar/calendarDate';
import type { HistoryEvent, PrintedDate, Start, Wrap } from './history';
import type { AmountUnit } from '../units/sayAmount';

export const FORMS = [
  'flat',
  'block',
  'whole',
  'loose',
  'cubes',
  'slices',
  'log',
  'meatballs',
  'patties',
  'scored',
  'rolled',
  'pot',
  /** Pieces, each closed in itself: taking one opens no other. */
  'sealed',
] as const;
export type Form = (typeof FORMS)[number];

/** One line of a haul as it is stored: what came in, how it is split, where it goes. */
export interface IntakeLine {
  food: string;
  /** The cook's own word for it, as on the label; empty: the food's name. */
  called: string;
  amount: number;
  unit: AmountUnit;
  packs: number;
  form: Form | null;
  /** `null`: zip bag when frozen, else as it came. */
  wrap: Wrap | null;
  /** Minor units for the whole line. */
  priceMinor: number | null;
  /** Zone id; `null` leaves it on the counter. */
  zone: string | null;
  printed: PrintedDate | null;
  /** `frozen`: it came in hard frozen (K5); `loose`: sold over a counter, so no maker's pack (K3b); `unknown`: nobody knows how old it is. */
  start: {
    did: Start;
    on: CalendarDate;
    frozen?: boolean;
    loose?: boolean;
    about?: string;
    unknown?: boolean;
  };
  openedOn: CalendarDate | null;
  frozenOn: CalendarDate | null;
  blanched: boolean;
  note: string;
  /** All that happened to it, from its start on, where that is known; what a cook tells of a line is less. */
  history?: HistoryEvent[];
  /** The code that is on its label already, of one pack; none: it gets the next one. */
  code?: string;
  /** A pot's cap in the line's unit (K11); none: it is no pot. */
  cap?: number;
  /** Since when it stands on the counter, ISO 8601 UTC; none: since now. */
  counterSince?: string;
  /** The zone was chosen all the same, whatever the household's own rules say of it. */
  anyway?: boolean;
}
