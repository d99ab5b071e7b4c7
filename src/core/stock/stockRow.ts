import type { CalendarDate } from '../calendar/calendarDate';
import type { PackageState, Wrap } from '../model/history';
import type { AmountUnit } from '../units/sayAmount';

/** As much of a package as asking, counting and grouping the whole stock need. */
export interface StockRow {
  id: string;
  code: string;
  lotId: string;
  foodId: string;
  /** The name on the label. */
  called: string;
  amount: number;
  unit: AmountUnit;
  wrap: Wrap | null;
  /** `null`: out of the cold. */
  zoneId: string | null;
  state: PackageState;
  opened: boolean;
  startOn: CalendarDate;
  useBy: CalendarDate | null;
  bestBy: CalendarDate;
  governingDate: CalendarDate;
  governingKind: 'use-by' | 'best-by';
  condemned: boolean;
  /** Minutes out of the cold before the present stay, and since when it stands there, ISO 8601 UTC. */
  counterMinutes: number;
  counterSince: string | null;
  /** It spoils though its food does not. */
  spoils?: boolean;
  /** Minor units; `null`: nobody told. */
  priceMinor: number | null;
  /** A label was printed for it; not told: nobody asks. */
  hasLabel?: boolean;
  note: string;
  /** A kept photo of it. */
  photo?: string | null;
  /** Whose it is; empty: everybody's. */
  whose: string;
  /** Nobody takes it unasked. */
  handsOff: boolean;
  /** The first-out order as one text that sorts. */
  firstOut: string;
  version: number;
}
