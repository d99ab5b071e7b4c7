import { Refusal } from '../../refusal';
import { sayAmount } from '../../units/sayAmount';
import { sayPlainDate } from '../../calendar/sayDate';
import { withEvents } from './judgePackage';
import type { DiscardReason, GoneHow, LedgerEvent, Package } from '../../model/package';
import { partOpens, type Pieces } from './partOpens';
import { whyUnfit } from './whyUnfit';
import { presentPackage, type World } from '../../model/world';

/** Taking of a package, all of it or a part; `pieces`: what the cook says of them, where it cannot be known. */
interface Taking {
  package: string;
  version: number;
  amount: number | null;
  pieces?: Pieces | null;
}

/**
 * What is left after some of it went: the whole package gone, or the rest with its share of the price. A part taken out of a
 * closed package opens it (K4).
 */
function reduced(
  before: Package,
  { amount, pieces }: Taking,
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
  const opens = partOpens(before, world.food(before.foodId));
  if (opens === 'stays') return { ...before, amount: rest, priceMinor, version };
  if (opens === 'ask' && pieces === 'closed')
    return { ...before, amount: rest, priceMinor, form: 'sealed', version };
  return withEvents(before, [{ did: 'opened', on: world.today }], world, { amount: rest, priceMinor });
}

/** "; what stays is open now, use by Mon 30 Nov". */
function sayOpened(before: Package, after: Package): string {
  if (after.gone !== null || before.openedOn === after.openedOn) return '';
  const kind = after.governingKind === 'use-by' ? 'use by' : 'best by';
  return `; what stays is open now, ${kind} ${sayPlainDate(after.governingDate)}`;
}

function sayPart(before: Package, amount: number | null, name: string): string {
  return `${name} ${sayAmount(amount ?? before.amount, before.unit)}`;
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
  command: Taking,
  world: World,
  how: keyof typeof LEAVING = 'taken',
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const unfit = whyUnfit(before, world);
  if (unfit) throw new Refusal(unfit.rule, unfit.says);
  const after = reduced(before, command, how, null, world);
  const { type, word } = LEAVING[how];
  return [
    {
      type,
      before,
      after,
      says: `${word} ${sayPart(before, command.amount, before.called)}${sayOpened(before, after)}.`,
    },
  ];
}

/** Puts a package on the compost, all of it or a part. @throws Refusal when there is less in it */
export function compostPackage(command: Taking, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const after = reduced(before, command, 'composted', null, world);
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
export function discardPackage(command: Taking & { reason: DiscardReason }, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const after = reduced(before, command, 'discarded', command.reason, world);
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
