import type { CalendarDate } from '../calendar/calendarDate';
import type { HistoryEvent, PackageState, PrintedDate, TrailLine, Wrap } from './history';
import type { Answer } from './answer';
import type { MealPromise } from './meal';
import type { DrawnZone } from './drawing';
import type { AmountUnit } from '../units/sayAmount';
import type { Form } from './intakeLine';

export const DISCARD_REASONS = [
  'past-date',
  'spoiled',
  'freezer-burnt',
  'power-cut',
  'unwanted',
  'unknown',
] as const;
export type DiscardReason = (typeof DISCARD_REASONS)[number];

/** How a package left the store. */
export type GoneHow = 'taken' | 'discarded' | 'given' | 'composted' | 'cooked' | 'merged' | 'lost' | 'undone';

/** Whose it is; with `handsOff` nobody takes it without being asked, until that day where one is named. */
export interface KeptFor {
  whose: string;
  on: CalendarDate | null;
  handsOff: boolean;
}

/** One labelled thing, whole: what the ledger keeps as before- and after-image. */
export interface Package {
  id: string;
  lotId: string;
  foodId: string;
  /** The name on the label. */
  called: string;
  code: string;
  amount: number;
  unit: AmountUnit;
  form: Form | null;
  wrap: Wrap | null;
  blanched: boolean;
  /** Minor units; the share of the lot's price that is left in it. */
  priceMinor: number | null;
  note: string;
  /** `null`: on the counter. */
  zoneId: string | null;
  /** Since when it stands out of the cold, ISO 8601 UTC; `null` while in a zone. */
  counterSince: string | null;
  history: HistoryEvent[];
  printed: PrintedDate | null;
  state: PackageState;
  startOn: CalendarDate;
  openedOn: CalendarDate | null;
  useBy: CalendarDate | null;
  bestBy: CalendarDate;
  governingDate: CalendarDate;
  governingKind: 'use-by' | 'best-by';
  condemned: boolean;
  /** It spoils though its food does not: cut, home-made, or put together with what does. */
  spoils?: boolean;
  /** Temperature its clocks run at, °C. */
  celsius: number;
  /** Minutes out of the cold before the present stay on the counter (K10). */
  counterMinutes: number;
  trail: TrailLine[];
  /** The day it came into the store. */
  cameOn: CalendarDate;
  /** The cook's last answer to its heads-ups. */
  answer: Answer | null;
  /** Governing dates that went by with no answer, for the count of what passed unseen. */
  unanswered: CalendarDate[];
  /** The date that stands on its label; left out: it has none that anybody told of. */
  labelled?: CalendarDate;
  /** Codes it had before it was relabelled: they still find it. */
  oldCodes?: string[];
  /** Whose it is, or for whom and when it is kept; none: everybody's. */
  keptFor?: KeptFor | null;
  /** What of it meals were promised. */
  promised?: MealPromise[];
  /** A kept photo of it. */
  photo?: string | null;
  /** A pot's cap in its unit: reached, it says "use me" (K11). */
  cap: number | null;
  gone: {
    how: GoneHow;
    on: CalendarDate;
    reason: DiscardReason | null;
    /** Minutes of the stay out of the cold in which it left; they count if it comes back (K10). */
    stood?: number;
    /** Lost on the counter: since when it stood there; that goes on until it is found (L4). */
    since?: string;
  } | null;
  version: number;
}

/** What came in together on one day. */
export interface Lot {
  id: string;
  foodId: string;
  did: 'bought' | 'cooked' | 'harvested' | 'given';
  startOn: CalendarDate;
  amount: number;
  unit: AmountUnit;
  priceMinor: number | null;
  currency: string;
}

export interface Zone extends Pick<DrawnZone, 'kind' | 'side' | 'only' | 'never' | 'person'> {
  id: string;
  name: string;
  applianceId: string;
  applianceName: string;
  cold: 'fridge' | 'freezer';
  /** Measured, else assumed for its kind, °C. */
  temperatureC: number;
  assumedC: number;
}

/** One thing that happened, with the package before and after it. */
export interface LedgerEvent {
  /** What happened, in the past tense: `package.opened`. */
  type: `package.${string}`;
  before: Package | null;
  after: Package;
  says: string;
}
