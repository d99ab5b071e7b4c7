import { Refusal } from '../../model/refusal';
import { sayAmount } from '../../units/sayAmount';
import { counterOf } from './judgePackage';
import { withEvents } from './withEvents';
import type { DiscardReason, GoneHow, Package } from '../../model/package';
import { partOpens, type Pieces } from './partOpens';
import type { World } from '../../model/world';

/** Taking of a package, all of it or a part; `pieces`: what the cook says of them, where it cannot be known. */
export interface Taking {
  package: string;
  version: number;
  amount: number | null;
  pieces?: Pieces | null;
  /** What is kept for somebody is taken all the same. */
  promised?: boolean;
}

/** The whole package gone, with the minutes it stood out as it left. */
export function leaving(
  before: Package,
  how: Exclude<GoneHow, 'undone'>,
  reason: DiscardReason | null,
  world: World,
): Package {
  const [stay] = counterOf(before, world);
  const stood = stay?.did === 'counter' ? { stood: stay.minutes } : {};
  return {
    ...before,
    gone: { how, on: world.today, reason, ...stood },
    counterSince: null,
    version: before.version + 1,
  };
}

/**
 * What is left after some of it went: the whole package gone, or the rest with its share of the price. A part taken out of a
 * closed package opens it (K4).
 */
export function reduced(
  before: Package,
  { amount, pieces }: Taking,
  how: Exclude<GoneHow, 'undone'>,
  reason: DiscardReason | null,
  world: World,
): Package {
  const version = before.version + 1;
  if (amount === null || amount === before.amount) {
    return leaving(before, how, reason, world);
  }
  if (amount > before.amount) {
    throw new Refusal('amount', `There are only ${sayAmount(before.amount, before.unit)} in ${before.code}.`);
  }
  const rest = before.amount - amount;
  const priceMinor =
    before.priceMinor === null ? null : Math.round((before.priceMinor * rest) / before.amount);
  const opens = partOpens(before, world.food(before.foodId));
  if (opens === 'stays') return { ...before, amount: rest, priceMinor, version };
  if (opens === 'ask' && pieces === 'closed')
    return { ...before, amount: rest, priceMinor, form: 'sealed', version };
  return withEvents(before, [{ did: 'opened', on: world.today }], world, { amount: rest, priceMinor });
}

export function sayPart(before: Package, amount: number | null, name: string): string {
  return `${name} ${sayAmount(amount ?? before.amount, before.unit)}`;
}
