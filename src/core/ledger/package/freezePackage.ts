import { HOUSEHOLD_MAY } from '../../model/role';
import { Refusal } from '../../model/refusal';
import { coldOf, counterOf } from './judgePackage';
import { withEvents } from './withEvents';
import type { LedgerEvent } from '../../model/package';
import { refuseLate, refuseOpenCut, whyUnfit } from './whyUnfit';
import { presentPackage } from './presentPackage';
import type { World } from '../../model/world';
import { admitTo, warnedNote } from './zoneFault';
import { type OnPackage, type Placing } from '../../model/command';
import { packageCommand } from './packageCommand';

/** Freezes a package into a freezer zone (K5), or again after thawing (K8). @throws Refusal with the rule */
export function freezePackage(command: OnPackage & Placing & { zone: string }, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const zone = world.zone(command.zone);
  if (zone.cold !== 'freezer') throw new Refusal('place', `${zone.name} is not in a freezer.`);
  refuseLate(before, world);
  refuseOpenCut(before, world);
  const warning = admitTo(zone, world.food(before.foodId), command.anyway ?? false);
  const again = before.history.some(({ did }) => did === 'thawing' || did === 'thawed');
  const after = withEvents(
    before,
    [...counterOf(before, world), { did: again ? 'refrozen' : 'frozen', on: world.today, ...coldOf(zone) }],
    world,
    {
      zoneId: zone.id,
      counterSince: null,
      wrap: before.wrap ?? 'zip-bag',
      note: warnedNote(before.note, warning),
    },
  );
  // What no rule of freezing refused, and is not for eating all the same.
  const unfit = whyUnfit(before, world);
  if (unfit) throw new Refusal(unfit.rule, unfit.says);
  return [
    {
      type: 'package.frozen',
      before,
      after,
      says: `${again ? 'Froze again' : 'Froze'} ${before.called} ${before.code} in ${zone.name}.`,
    },
  ];
}

export const freezePackageCommand = packageCommand('package.freeze', freezePackage, HOUSEHOLD_MAY);
