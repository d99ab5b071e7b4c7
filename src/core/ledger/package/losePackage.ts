import { HOUSEHOLD_MAY } from '../../model/role';
import type { LedgerEvent } from '../../model/package';
import type { World } from '../../model/world';
import type { OnPackage } from '../../model/command';
import { packageCommand } from './packageCommand';
import { leaving } from './reduced';
import { presentPackage } from './presentPackage';
import { sayAmount } from '../../units/sayAmount';

/** A package that is not where it should be, and nowhere else: it leaves the store, and may be put back when it turns up. */
function losePackage(command: OnPackage, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const left = leaving(before, 'lost', null, world);
  const { counterSince } = before;
  const after =
    counterSince === null || left.gone === null
      ? left
      : { ...left, gone: { ...left.gone, since: counterSince } };
  const amount = sayAmount(before.amount, before.unit);
  return [
    { type: 'package.lost', before, after, says: `${before.called} ${amount} ${before.code} is nowhere.` },
  ];
}

export const losePackageCommand = packageCommand('package.lose', losePackage, HOUSEHOLD_MAY);
