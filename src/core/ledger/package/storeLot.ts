import type { Food } from '../../model/food';
import type { HistoryEvent, PrintedDate, Wrap } from '../../model/history';
import { sharePrice } from '../../portions/sharePrice';
import { type AmountUnit, sayAmount } from '../../units/sayAmount';
import type { Form, IntakeLine } from '../../model/intakeLine';
import { coldOf, judgePackage, warmthOf } from './judgePackage';
import type { LedgerEvent, Lot, Package, Zone } from '../../model/package';
import type { World } from '../../model/world';

/** What came in together, whole. */
export interface NewLot {
  food: Food;
  /** The cook's own word; empty: the food's name. */
  called: string;
  amount: number;
  unit: AmountUnit;
  priceMinor: number | null;
  start: IntakeLine['start'];
  printed: PrintedDate | null;
  blanched: boolean;
  history: HistoryEvent[];
  /** The history tells all that happened, the temperatures too. */
  whole?: boolean;
}

/** One pack of a lot. */
export interface NewPack {
  amount: number;
  form: Form | null;
  wrap: Wrap | null;
  note: string;
  /** `null`: it stands on the counter, since `counterSince`. */
  zone: string | null;
  /** `null`: since now, unless its history has it kept out of the cold by design. */
  counterSince: string | null;
  /** The code on its label; none: the next one. */
  code?: string;
  /** A pot's cap in the lot's unit (K11); none: it is no pot. */
  cap?: number | null;
}

/** True for what puts a package to sleep. */
const freezes = (event: HistoryEvent): boolean =>
  event.did === 'frozen' || event.did === 'refrozen' || ('frozen' in event && event.frozen === true);

/** What was frozen went into this freezer zone, as far as anybody told: its °C counts from that day on (K9). */
function frozenInto(history: readonly HistoryEvent[], zone: Zone | null): HistoryEvent[] {
  const last = zone?.cold === 'freezer' ? history.findLastIndex(freezes) : -1;
  return history.map((event, at) => (zone && at === last ? { ...event, ...coldOf(zone) } : event));
}

/** What storing needs of the world; a preview has no more than this. */
export type StoringWorld = Pick<
  World,
  'today' | 'at' | 'food' | 'caution' | 'zone' | 'currency' | 'newId' | 'newCode'
>;

/**
 * Stores a lot and its packs: dated, coded, each with its share of the price, which adds up exactly.
 *
 * @param packs their amounts add up to the lot's
 * @throws Refusal when the history cannot be
 */
export function storeLot(
  told: NewLot,
  packs: readonly NewPack[],
  world: StoringWorld,
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
    const zone = pack.zone === null ? null : world.zone(pack.zone);
    const undated = {
      id: world.newId(),
      lotId: lot.id,
      foodId: food.id,
      called: called || food.name,
      code: pack.code ?? world.newCode(),
      amount: pack.amount,
      unit,
      form: pack.form,
      wrap: pack.wrap,
      blanched: told.blanched,
      priceMinor: prices?.[at] ?? null,
      note: pack.note,
      zoneId: pack.zone,
      counterSince: null,
      history: told.whole ? told.history : frozenInto(told.history, zone),
      printed: told.printed,
      cameOn: world.today,
      answer: null,
      unanswered: [],
      cap: pack.cap ?? null,
      gone: null,
      version: 1,
    };
    const dated = judgePackage(undated, world);
    const warmth = zone === null ? [] : warmthOf(zone, dated.celsius, world.today);
    const judged: Package =
      warmth.length === 0
        ? dated
        : judgePackage({ ...undated, history: [...undated.history, ...warmth] }, world);
    const out = pack.counterSince ?? (judged.state === 'room' ? null : world.at);
    const after: Package = { ...judged, counterSince: zone === null ? out : null };
    return {
      type: 'package.stored',
      before: null,
      after,
      says: `${after.called} ${sayAmount(pack.amount, unit)} ${after.zoneId === null ? 'on the counter' : 'stored'} as ${after.code}.`,
    };
  });
  return { lot, events };
}
