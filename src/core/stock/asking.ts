import type { CalendarDate } from '../calendar/calendarDate';
import type { Food } from '../model/food';
import type { PackageState } from '../model/history';
import type { AmountUnit } from '../units/sayAmount';

/** What a household calls its places. */
export interface AskedZone {
  id: string;
  name: string;
  appliance: string;
  cold: 'fridge' | 'freezer';
  side?: string;
}

/** The little of a food that a kind of it is told by. */
export type KindedFood = Pick<
  Food,
  'id' | 'name' | 'aliases' | 'copyOf' | 'group' | 'dietTags' | 'readiness'
>;

/** What one stretch of an asking narrows the stock to. */
export type Narrowing =
  /** Foods by id, or whatever is called with all of these words. */
  | { by: 'food'; foods: ReadonlySet<string>; words: readonly string[] }
  | { by: 'kind'; foods: ReadonlySet<string> }
  /** What a food is besides its kind: raw, ready, without meat. */
  | { by: 'trait'; foods: ReadonlySet<string> }
  /** Not frozen, and nobody’s in particular. */
  | { by: 'ready'; foods: ReadonlySet<string> }
  | { by: 'state'; states: readonly PackageState[] }
  | { by: 'opened'; opened: boolean }
  /** Zones by id; `null` among them: out of the cold. */
  | { by: 'place'; zones: ReadonlySet<string | null> }
  | { by: 'person'; whose: string }
  | { by: 'handsOff' }
  /** Began to keep on or before, on or after. */
  | { by: 'started'; from: CalendarDate | null; to: CalendarDate | null }
  /** Its date lies on or before `to`. */
  | { by: 'due'; to: CalendarDate }
  /** Heavier, or lighter, than that. */
  | { by: 'amount'; unit: AmountUnit; more: boolean; than: number }
  /** Nobody told what it cost, or no label was printed for it. */
  | { by: 'lacks'; what: 'price' | 'label' }
  | { by: 'code'; code: string };

/** A stretch of the asking, offsets in the text, with what was understood. */
export interface AskedPart {
  from: number;
  to: number;
  says: string;
  /** It was guessed: a slip of the pen. */
  guessed: boolean;
  /** All but that. */
  not: boolean;
  narrows: Narrowing;
}

/** What somebody wants to see of the stock, in their own words. */
export interface Asking {
  parts: AskedPart[];
  /** Oldest start first rather than first out. */
  oldest: boolean;
  /** Stretches that mean nothing here, with foods that are like them. */
  unknown: { from: number; to: number; words: string; like: string[] }[];
}
