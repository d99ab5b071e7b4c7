import { HOUSEHOLD_MAY } from '../../model/role';
import { sayPlainDate } from '../../calendar/sayDate';
import { Refusal } from '../../model/refusal';
import type { KeptFor, LedgerEvent } from '../../model/package';
import type { World } from '../../model/world';
import type { OnPackage } from '../../model/command';
import { sayKept } from './kept';
import { packageCommand } from './packageCommand';
import { presentPackage } from './presentPackage';

/**
 * Says whose a package is, or for whom and which day it is kept; hands off: taking it asks first. Nobody and no day frees it. No
 * date moves.
 *
 * @throws Refusal `plan` for a day gone by, or past its use by
 */
function keepForPackage(command: OnPackage & KeptFor, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const { on, handsOff } = command;
  const whose = command.whose.trim();
  const version = before.version + 1;
  const name = `${before.called} ${before.code}`;
  if (whose === '' && on === null && !handsOff) {
    const says = `${name} is everybody’s again.`;
    return [{ type: 'package.kept-for', before, after: { ...before, keptFor: null, version }, says }];
  }
  if (on !== null && on < world.today) throw new Refusal('plan', `${sayPlainDate(on)} has gone by.`);
  if (on !== null && before.useBy !== null && on > before.useBy) {
    throw new Refusal(
      'plan',
      `By ${sayPlainDate(on)} it is past its use by, ${sayPlainDate(before.useBy)}. Choose a day until then, or freeze it.`,
    );
  }
  const keptFor = { whose, on, handsOff };
  const kept = sayKept(keptFor);
  const says = handsOff ? `${name}: hands off${kept === '' ? '' : `, ${kept}`}.` : `${name} is ${kept}.`;
  return [{ type: 'package.kept-for', before, after: { ...before, keptFor, version }, says }];
}

export const keepForPackageCommand = packageCommand('package.keep-for', keepForPackage, HOUSEHOLD_MAY);
