import { Refusal } from '../refusal';
import { sayAmount } from '../units/sayAmount';
import { counterOf, withEvents } from './judgePackage';
import type { DiscardReason, GoneHow, LedgerEvent, Package } from './package';
import { presentPackage, type World } from './world';

/** What is left after some of it went: the whole package gone, or the rest with its share of the price. */
function reduced(
  before: Package,
  amount: number | null,
  how: Exclude<GoneHow, 'undone'>,
  reason: DiscardReason | null,
  world: World,
): Package {
  const version = before.version + 1;
  if (amount === null || amount === before.amount) {
    return { ...before, gone: { how, on: world.today, reason }, counterSince: null, version };
  }
  if (amount > before.amount) {
    throw new Refusal('amount', `There are only ${sayAmount(before.amount, before.unit)} in ${before.code}.`);
  }
  const rest = before.amount - amount;
  const priceMinor =
    before.priceMinor === null ? null : Math.round((before.priceMinor * rest) / before.amount);
  return { ...before, amount: rest, priceMinor, version };
}

function sayPart(before: Package, amount: number | null, name: string): string {
  return `${name} ${sayAmount(amount ?? before.amount, before.unit)}`;
}

/**
 * Takes a package to eat, all of it or a part.
 *
 * @param amount in the package's unit; `null` takes all
 * @throws Refusal when there is less in it, or when it is to be thrown out (past use by, found bad, or out of the
 *   cold for too long, the present stay included)
 */
export function takePackage(
  command: { package: string; version: number; amount: number | null },
  world: World,
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  if (before.useBy !== null && before.useBy < world.today) {
    throw new Refusal('K2', `${before.code} is past its use by: it is not for eating. Bin it.`);
  }
  const stay = counterOf(before, world);
  const condemned = stay.length === 0 ? before.condemned : withEvents(before, stay, world).condemned;
  if (condemned) {
    throw new Refusal('K10', `${before.code} was found bad, or stood out of the cold for too long. Bin it.`);
  }
  const after = reduced(before, command.amount, 'taken', null, world);
  return [
    { type: 'package.taken', before, after, says: `Took ${sayPart(before, command.amount, before.called)}.` },
  ];
}

/** Throws a package out, all of it or a part, for a reason. Throws as {@link takePackage}. */
export function discardPackage(
  command: { package: string; version: number; amount: number | null; reason: DiscardReason },
  world: World,
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const after = reduced(before, command.amount, 'discarded', command.reason, world);
  return [
    {
      type: 'package.discarded',
      before,
      after,
      says: `Binned ${sayPart(before, command.amount, before.called)}: ${DISCARD_WORDS[command.reason]}.`,
    },
  ];
}

const DISCARD_WORDS: Record<DiscardReason, string> = {
  'past-date': 'past its date',
  spoiled: 'spoiled',
  'freezer-burnt': 'freezer burnt',
  'power-cut': 'power cut',
  unwanted: 'nobody wanted it',
  unknown: 'nobody knows what it was',
};
