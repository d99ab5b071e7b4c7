import { GUESTS_MAY } from '../../model/role';
import { Refusal } from '../../model/refusal';
import { sayPlainDate } from '../../calendar/sayDate';
import type { LedgerEvent, Package } from '../../model/package';
import { refusePromised } from './kept';
import { whyUnfit } from './whyUnfit';
import { presentPackage } from './presentPackage';
import type { World } from '../../model/world';
import { reduced, sayPart, type Taking } from './reduced';
import { packageCommand } from './packageCommand';

/** "; what stays is open now, use by Mon 30 Nov". */
function sayOpened(before: Package, after: Package): string {
  if (after.gone !== null || before.openedOn === after.openedOn) return '';
  const kind = after.governingKind === 'use-by' ? 'use by' : 'best by';
  return `; what stays is open now, ${kind} ${sayPlainDate(after.governingDate)}`;
}

const LEAVING = {
  taken: { type: 'package.taken', word: 'Took', deed: 'eat' },
  given: { type: 'package.given', word: 'Gave away', deed: 'other' },
  cooked: { type: 'package.cooked', word: 'Cooked', deed: 'cook' },
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
  const unfit = whyUnfit(before, world, LEAVING[how].deed);
  if (unfit) throw new Refusal(unfit.rule, unfit.says);
  refusePromised(before, command.promised, world, command.amount);
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

export const takePackageCommand = packageCommand(
  'package.take',
  (command: Taking, world) => takePackage(command, world),
  GUESTS_MAY,
);
