import { HOUSEHOLD_MAY } from '../../model/role';
import { wasSet, type Decision } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import { sayAmount } from '../../units/sayAmount';
import { lineEvent, openHaul, presentLine } from './haulWorld';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** Takes a line off the bench that was not packed. @throws Refusal `haul`, or StaleSetting */
function dropHaulLine(command: { line: string; version: number }, world: World): Decision {
  const before = presentLine(world, command.line, command.version);
  openHaul(world, before.haul);
  if (before.packages !== null)
    throw new Refusal('haul', `${before.called} is packed already; undo that first.`);
  const says = `${before.called} ${sayAmount(before.amount, before.unit)} is off the bench.`;
  return wasSet(lineEvent('haul.dropped', before, null, says));
}

export const dropHaulLineCommand: CommandKind<{ line: string; version: number }> = {
  type: 'haul.drop',
  may: HOUSEHOLD_MAY,
  needs: ({ line }) => ({ lines: [line] }),
  decide: dropHaulLine,
};
