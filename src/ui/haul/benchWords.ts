import type { CounterClock } from '@/core/haul/counterClock';
import type { Goal, HaulLine, HaulPart } from '@/core/model/haul';
import type { Food } from '@/core/model/food';
import { sharePrice } from '@/core/portions/sharePrice';
import { sayAmount, sayMoney } from '@/core/units/sayAmount';
import type { UnitSystem } from '@/core/units/readAmount';
import type { LastBuy } from '@/services/haul/haul';
import { sayMinutes } from '../shell/sayMinutes';

export const GOAL_WORDS: Record<Goal, string> = {
  fridge: 'fridge',
  freezer: 'freezer',
  room: 'kept out',
};

export const FIT_WORDS: Record<Food['freezeFit'], string> = {
  good: 'freezes well',
  fair: 'freezes fairly: a little softer after',
  poor: 'freezes poorly: for cooking only after',
  no: 'must not be frozen',
};

/** "1 h 22", "38 min", "no hurry", "over 2 h". */
export function sayClock({ level, left }: CounterClock): string {
  if (level === 'no-hurry' || left === null) return 'no hurry';
  if (level === 'over') return 'time is up';
  const told = sayMinutes(left);
  return level === 'cold' ? `cold · ${told}` : told;
}

/** "557 g each", "600 g and 601 g", "320 g to 558 g". */
export function saySizes(amounts: readonly number[], unit: HaulLine['unit']): string {
  const [least, most] = [Math.min(...amounts), Math.max(...amounts)];
  if (least === most) return amounts.length === 1 ? sayAmount(least, unit) : `${sayAmount(least, unit)} each`;
  return `${sayAmount(least, unit)} to ${sayAmount(most, unit)}`;
}

/** "4 flat, 3 meatballs" or "half to the freezer". */
export function sayParts({ parts }: Pick<HaulLine, 'parts'>, nameOf: (part: HaulPart) => string): string {
  return parts
    .map((part) => {
      const count = part.amounts.length;
      return `${count === 1 ? '' : `${count} × `}${nameOf(part)}`;
    })
    .join(', ');
}

/** What a price is said for, and how many of the inner unit it is. */
const PER: Record<UnitSystem, Record<HaulLine['unit'], readonly [name: string, amount: number]>> = {
  metric: { g: ['kg', 1000], ml: ['l', 1000], pc: ['piece', 1] },
  us: { g: ['lb', 453.59237], ml: ['qt', 946.352946], pc: ['piece', 1] },
};

/** "7.23 €/kg · last time 7.90": what it costs, beside what it did. */
export function sayPrice(
  line: HaulLine,
  last: LastBuy | undefined,
  currency: string,
  units: UnitSystem,
): string {
  const [per, amount] = PER[units][line.unit];
  /** Of what it cost a kilo, litre or piece. */
  const money = (minor: number): string =>
    `${sayMoney(Math.round((minor * amount) / PER.metric[line.unit][1]), currency)} a ${per}`;
  if (line.priceMinor === null) {
    return last && last.unit === line.unit ? `last time ${money(last.minor)}` : '';
  }
  const minor = Math.round((line.priceMinor / line.amount) * (line.unit === 'pc' ? 1 : 1000));
  const now = money(minor);
  if (!last || last.unit !== line.unit) return now;
  const change = Math.round((minor / last.minor - 1) * 100);
  const beside = change === 0 ? 'the same' : change > 0 ? `${change} % dearer` : `${-change} % cheaper`;
  return `${now} · last time ${money(last.minor)}, ${beside}`;
}

/** Minor units of each pack of a line, exact; empty without a price. */
export function packPrices({ priceMinor, parts }: Pick<HaulLine, 'priceMinor' | 'parts'>): number[] {
  const amounts = parts.flatMap((part) => part.amounts);
  return priceMinor === null || amounts.length === 0 ? [] : sharePrice(priceMinor, amounts);
}
