import type { CalendarDate } from '../calendar/calendarDate';

export const STARTS = ['bought', 'cooked', 'harvested', 'given'] as const;
export type Start = (typeof STARTS)[number];

/** What may happen to a package after its start. */
export const AFTERWARDS = [
  'opened',
  'frozen',
  'thawing',
  'thawed',
  'refrozen',
  'found-turning',
  'found-bad',
  'moved',
  'counter',
  'kept-out',
  'topped-up',
  'washed',
] as const;

export const WRAPS = [
  'shop-tray',
  'carton',
  'loose-bag',
  'zip-bag',
  'foil',
  'paper',
  'vacuum',
  'glass',
  'jar',
  'tub',
] as const;
export type Wrap = (typeof WRAPS)[number];

export const THAW_METHODS = ['fridge', 'cold-water', 'microwave', 'metal'] as const;
export type ThawMethod = (typeof THAW_METHODS)[number];

export const PRINTED_KINDS = ['use-by', 'best-before', 'sell-by', 'freeze-by'] as const;
export type PrintedKind = (typeof PRINTED_KINDS)[number];

/**
 * How a household reads dates: `usual` by the shorter of the chart and the maker's date; `careful` by the shortest figures (K13);
 * `printed` by the maker's own use-by on a closed pack (K3c).
 */
export const CAUTIONS = ['usual', 'careful', 'printed'] as const;
export type Caution = (typeof CAUTIONS)[number];

export const STATES = ['chilled', 'frozen', 'thawing', 'counter', 'room'] as const;
export type PackageState = (typeof STATES)[number];

/**
 * Something that happened to a package, on a calendar day of the household; `at`: at this instant, ISO 8601 UTC, where that is known.
 * Entries of a life stand by when they happened, not by when they were told (L1).
 */
export type HistoryEvent = Happening & { at?: string };

type Happening =
  /** `frozen`: it came in hard frozen, from a shop's freezer or another's (K5); `loose`: sold over a counter (K3b); `c`: of the freezer it went into, °C; `unknown`: nobody knows how old it is. */
  | {
      did: Start;
      on: CalendarDate;
      frozen?: boolean;
      loose?: boolean;
      c?: number;
      about?: string;
      unknown?: boolean;
    }
  | { did: 'opened' | 'found-turning' | 'found-bad' | 'kept-out'; on: CalendarDate }
  /** `c`: of the zone it went into, °C; not told: as the conditions say. */
  | { did: 'frozen' | 'thawing' | 'refrozen'; on: CalendarDate; c?: number }
  | { did: 'thawed'; on: CalendarDate; method: ThawMethod }
  /** Put into a zone of another temperature, °C. */
  | { did: 'moved'; on: CalendarDate; c: number }
  /** Stood out of the cold for so many minutes; `hot` above 32 °C, `soft`: not hard frozen then, so without its grace. */
  | { did: 'counter'; on: CalendarDate; minutes: number; hot?: boolean; soft?: boolean }
  /** More went into a pot (K11): `content` is the day what was added began, `full` that its cap is reached. */
  | { did: 'topped-up'; on: CalendarDate; content: CalendarDate; full?: boolean }
  /**
   * Something like it was put together with it: its dates, its minutes out of the cold, and the days of safety it would have once
   * thawed (K11); `anew`: it was only packed otherwise, and what joins is itself as it was dated before.
   */
  | {
      did: 'joined';
      on: CalendarDate;
      startOn: CalendarDate;
      useBy: CalendarDate | null;
      bestBy: CalendarDate;
      minutes: number;
      days: number | null;
      anew?: boolean;
      /** It spoils, whatever it is put to. */
      controlled?: boolean;
      /** How it was thawed (K8), and the days its food has then. */
      thawed?: ThawMethod;
      thawDays?: number;
      /** Its safety ended then, whatever is done (K9, O3). */
      ends?: CalendarDate;
    }
  /** Above 4.4 °C in a power cut, for less than its limit: used by `limit`; `ends`: it thawed, so no freezing makes that later; `out`: it is to be thrown out. */
  | { did: 'warmed'; on: CalendarDate; limit: CalendarDate; ends?: boolean; out?: boolean }
  /** Softened in a power cut that ended on `back`, and froze again where it lay; soft for so many days. */
  | { did: 'softened'; on: CalendarDate; back: CalendarDate; days: number }
  /** Washed before it was put away; `dried` well or not. */
  | { did: 'washed'; on: CalendarDate; dried: boolean };

export interface PrintedDate {
  kind: PrintedKind;
  date: CalendarDate;
}

/** What besides the history bears on the dates. Temperatures in °C. */
export interface KeepingConditions {
  printed: PrintedDate | null;
  wrap: Wrap;
  /** False: frozen raw. Not told counts as blanched. */
  blanched: boolean;
  fridgeC: number;
  freezerC: number;
  caution: Caution;
  /** Typical hours the package needs to thaw in the refrigerator (K7); `null`: mass unknown. */
  thawHours: number | null;
  /**
   * How many events from the start were accepted when they happened. Figures that grew stricter since shorten what such an
   * event gave; they cannot make it not have happened.
   */
  recorded?: number;
}

export const USUAL_CONDITIONS: KeepingConditions = {
  printed: null,
  wrap: 'zip-bag',
  blanched: true,
  fridgeC: 4,
  freezerC: -18,
  caution: 'usual',
  thawHours: null,
};

/** One rule that fired. `from` and `to` are the governing date before and after it. */
export interface TrailLine {
  rule: string;
  from: CalendarDate | null;
  to: CalendarDate | null;
  says: string;
  source: string;
}
