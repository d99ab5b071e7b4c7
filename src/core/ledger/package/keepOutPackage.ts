import { HOUSEHOLD_MAY } from '../../model/role';
import type { HistoryEvent } from '../../model/history';
import { counterOf } from './judgePackage';
import { withEvents } from './withEvents';
import type { LedgerEvent } from '../../model/package';
import { refuseLate, refuseOpenCut } from './whyUnfit';
import { presentPackage } from './presentPackage';
import type { World } from '../../model/world';
import type { OnPackage } from '../../model/command';
import { packageCommand } from './packageCommand';

/** Keeps a package out of the cold by design (state "room"). @throws Refusal K10 for what belongs in the cold */
export function keepOutPackage(command: OnPackage, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  refuseLate(before, world);
  refuseOpenCut(before, world);
  const events: HistoryEvent[] = [...counterOf(before, world), { did: 'kept-out', on: world.today }];
  const after = withEvents(before, events, world, { zoneId: null, counterSince: null });
  return [
    {
      type: 'package.moved',
      before,
      after,
      says: `${before.called} ${before.code} is kept out of the cold.`,
    },
  ];
}

export const keepOutPackageCommand = packageCommand('package.keep-out', keepOutPackage, HOUSEHOLD_MAY);
