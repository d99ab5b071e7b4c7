import { HOUSEHOLD_MAY } from '../../model/role';
import { happened } from '../../model/decision';
import type { LedgerEvent } from '../../model/package';
import type { World } from '../../model/world';
import type { CommandKind, OnPackage } from '../../model/command';
import { presentPackage } from './presentPackage';

/** Gives a package a new code, for a label that came off or cannot be read; the old one still finds it. */
function relabelPackage(command: OnPackage, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const code = world.newCode();
  const after = {
    ...before,
    code,
    labelled: before.governingDate,
    oldCodes: [...(before.oldCodes ?? []), before.code],
    version: before.version + 1,
  };
  const says = `${before.called} ${before.code} has a new label: ${code}.`;
  return [{ type: 'package.relabelled', before, after, says }];
}

export const relabelPackageCommand: CommandKind<OnPackage> = {
  type: 'package.relabel',
  may: HOUSEHOLD_MAY,
  needs: ({ package: id }) => ({ packages: [id], newCodes: 1 }),
  decide: (command, world) => happened(relabelPackage(command, world)),
};
