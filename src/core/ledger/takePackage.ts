import { Refusal } from '../refusal';
import { sayAmount } from '../units/sayAmount';
import { counterOf, type JudgingWorld, withEvents } from './judgePackage';
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
 * Why a package is not for eating: past its use by, found bad, or out of the cold for too long, the present stay
 * included; `null` when it is.
 */
export function whyUnfit(before: Package, world: JudgingWorld): { rule: string; says: string } | null {
  if (before.useBy !== null && before.useBy < world.today) {
    return { rule: 'K2', says: `${before.code} is past its use by: it is not for eating. Bin it.` };
  }
  const stay = counterOf(before, world);
  const condemned = stay.length === 0 ? before.condemned : withEvents(before, stay, world).condemned;
  if (!condemned) return null;
  return {
    rule: 'K10',
    says: `${before.code} was found bad, or stood out of the cold for too long. Bin it.`,
  };
}

const LEAVING = {
  taken: { type: 'package.taken', word: 'Took' },
  given: { type: 'package.given', word: 'Gave away' },
  cooked: { type: 'package.cooked', word: 'Cooked' },
} as const;

/**
 * Takes a package out to be eaten, given away or cooked, all of it or a part.
 *
 * @param amount in the package's unit; `null` takes all
 * @throws Refusal when there is less in it, or when it is to be thrown out
 */
export function takePackage(
  command: { package: string; version: number; amount: number | null },
  world: World,
  how: keyof typeof LEAVING = 'taken',
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const unfit = whyUnfit(before, world);
  if (unfit) throw new Refusal(unfit.rule, unfit.says);
  const after = reduced(before, command.amount, how, null, world);
  const { type, word } = LEAVING[how];
  return [{ type, before, after, says: `${word} ${sayPart(before, command.amount, before.called)}.` }];
}

/** Puts a package on the compost, all of it or a part. @throws Refusal when there is less in it */
export function compostPackage(
  command: { package: string; version: number; amount: number | null },
  world: World,
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const after = reduced(before, command.amount, 'composted', null, world);
  return [
    {
      type: 'package.composted',
      before,
      after,
      says: `Composted ${sayPart(before, command.amount, before.called)}.`,
    },
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
