import { HOUSEHOLD_MAY } from '../../model/role';
import type { DiscardReason, LedgerEvent } from '../../model/package';
import { presentPackage } from './presentPackage';
import type { World } from '../../model/world';
import { reduced, sayPart, type Taking } from './reduced';
import { packageCommand } from './packageCommand';

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

export const discardPackageCommand = packageCommand('package.discard', discardPackage, HOUSEHOLD_MAY);
