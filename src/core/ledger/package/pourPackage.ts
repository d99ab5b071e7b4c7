import { HOUSEHOLD_MAY } from '../../model/role';
import type { Form } from '../../model/intakeLine';
import type { HistoryEvent, Wrap } from '../../model/history';
import { Refusal } from '../../model/refusal';
import { joiningOf } from './judgePackage';
import { withEvents } from './withEvents';
import type { LedgerEvent } from '../../model/package';
import type { World } from '../../model/world';
import type { OnPackage } from '../../model/command';
import { packageCommand } from './packageCommand';
import { presentPackage } from './presentPackage';
import { refuseLate, refuseOpenCut } from './whyUnfit';

/** How it is said of each wrap. */
const INTO: Record<Wrap, string> = {
  'shop-tray': 'a tray',
  carton: 'a carton',
  'loose-bag': 'a bag',
  'zip-bag': 'a zip bag',
  foil: 'foil',
  paper: 'paper',
  vacuum: 'a vacuum bag',
  glass: 'a glass box',
  jar: 'a jar',
  tub: 'a tub',
};

/**
 * Packs a package anew: poured into another container, or wrapped otherwise. That opens it (K4); a better wrap never puts a date
 * back, a poorer one brings it forward (K5).
 *
 * @throws Refusal `place` when nothing changes
 */
function pourPackage(command: OnPackage & { wrap: Wrap; form: Form | null }, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  refuseLate(before, world);
  refuseOpenCut(before, world);
  const { wrap, form } = command;
  if (wrap === before.wrap && form === before.form)
    throw new Refusal('place', 'It is packed like that already.');
  const opened: HistoryEvent[] = before.openedOn === null ? [{ did: 'opened', on: world.today }] : [];
  const after = withEvents(before, [...opened, { ...joiningOf(before, world), anew: true }], world, {
    wrap,
    form,
  });
  const says = `${before.called} ${before.code} is in ${INTO[wrap]} now.`;
  return [{ type: 'package.poured', before, after, says }];
}

export const pourPackageCommand = packageCommand('package.pour', pourPackage, HOUSEHOLD_MAY);
