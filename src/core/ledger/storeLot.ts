import type { CalendarDate } from '../calendar/calendarDate';
import type { Food } from '../foods/food';
import type { HistoryEvent, PrintedDate, Start, Wrap } from '../keeping/history';
import { sharePrice } from '../portions/sharePrice';
import { type AmountUnit, sayAmount } from '../units/sayAmount';
import type { Form } from './intakeLine';
import { judgePackage, warmthOf } from './judgePackage';
import type { LedgerEvent, Lot, Package } from './package';
import type { World } from './world';

/** What came in together, whole. */
export interface NewLot {
  food: Food;
  /** The cook's own word; empty: the food's name. */
  called: string;
  amount: number;
  unit: AmountUnit;
  priceMinor: number | null;
  start: { did: Start; on: CalendarDate };
  printed: PrintedDate | null;
  blanched: boolean;
  history: HistoryEvent[];
}

/** One pack of a lot. */
export interface NewPack {
  amount: number;
  form: Form | null;
  wrap: Wrap | null;
  note: string;
  /** `null`: it stands on the counter, since `counterSince`. */
  zone: string | null;
  counterSince: string;
  /** A pot's cap in the lot's unit (K11); none: it is no pot. */
  cap?: number | null;
}

/**
 * Stores a lot and its packs: dated, coded, each with its share of the price, which adds up exactly.
 *
 * @param packs their amounts add up to the lot's
 * @throws Refusal when the history cannot be
 */
export function storeLot(
  told: NewLot,
  packs: readonly NewPack[],
  world: World,
): { lot: Lot; events: LedgerEvent[] } {
  const { food, called, amount, unit, priceMinor, start } = told;
  const lot: Lot = {
    id: world.newId(),
    foodId: food.id,
    did: start.did,
    startOn: start.on,
    amount,
    unit,
    priceMinor,
    currency: world.currency,
  };
  const amounts = packs.map((pack) => pack.amount);
  const prices = priceMinor === null ? null : sharePrice(priceMinor, amounts);
  const events = packs.map((pack, at): LedgerEvent => {
    const undated = {
      id: world.newId(),
      lotId: lot.id,
      foodId: food.id,
      called: called || food.name,
      code: world.newCode(),
      amount: pack.amount,
      unit,
      form: pack.form,
      wrap: pack.wrap,
      blanched: told.blanched,
      priceMinor: prices?.[at] ?? null,
      note: pack.note,
      zoneId: pack.zone,
      counterSince: pack.zone === null ? pack.counterSince : null,
      history: told.history,
      printed: told.printed,
      cameOn: world.today,
      answer: null,
      unanswered: [],
      cap: pack.cap ?? null,
      gone: null,
      version: 1,
    };
    const dated = judgePackage(undated, world);
    const warmth = pack.zone === null ? [] : warmthOf(world.zone(pack.zone), dated.celsius, world);
    const after: Package =
      warmth.length === 0
        ? dated
        : judgePackage({ ...undated, history: [...undated.history, ...warmth] }, world);
    return {
      type: 'package.stored',
      before: null,
      after,
      says: `${after.called} ${sayAmount(pack.amount, unit)} stored as ${after.code}.`,
    };
  });
  return { lot, events };
}
