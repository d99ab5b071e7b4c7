import { HOUSEHOLD_MAY } from '../../model/role';
import { wasSet, type Decision } from '../../model/decision';
import type { Haul } from '../../model/haul';
import { Refusal } from '../../model/refusal';
import { haulEvent, lineEvent, openHaul } from './haulWorld';
import type { World } from '../../model/world';
import { checkLeft, notAhead, outSinceOf } from './leftCold';
import type { CommandKind } from '../../model/command';

/** What a cook may change about an open haul. */
export type HaulChanges = Partial<
  Pick<Haul, 'name' | 'leftAt' | 'coldBag' | 'hot' | 'fastFreeze' | 'hygiene' | 'plan' | 'receipts'>
>;

function sayChanged({ plan, receipts }: HaulChanges, name: string): string {
  if (plan) return `The places of ${name} are told.`;
  if (!receipts) return `${name} was changed.`;
  return receipts.length === 0 ? `${name} has no photo of its receipt any more.` : `${name} has its receipt.`;
}

/**
 * Changes an open haul. When it left the cold earlier or later, or came in a cold bag after all, the clocks of the lines that
 * ran by it follow.
 *
 * @throws Refusal `haul`
 */
function setHaul(command: { haul: string; changes: HaulChanges }, world: World): Decision {
  const before = openHaul(world, command.haul);
  const { leftAt = before.leftAt } = command.changes;
  const told = { ...before, ...command.changes, leftAt: notAhead(leftAt, world) };
  const after = { ...told, outSince: outSinceOf(told) };
  if (after.name.trim() === '') throw new Refusal('haul', 'A haul needs a name.');
  if (after.leftAt !== before.leftAt) checkLeft(after.leftAt, world);
  const says = sayChanged(command.changes, after.name);
  const follow =
    after.outSince === before.outSince
      ? []
      : world
          .haulLines(before.id)
          .filter((line) => line.packages === null && line.outSince === before.outSince)
          .map((line) =>
            lineEvent(
              'haul.line',
              line,
              { ...line, outSince: after.outSince, version: line.version + 1 },
              `${line.called} has been out since ${after.outSince.slice(11, 16)} UTC.`,
            ),
          );
  return wasSet(haulEvent('haul.set', before, after, says), ...follow);
}

export const setHaulCommand: CommandKind<{ haul: string; changes: HaulChanges }> = {
  type: 'haul.set',
  may: HOUSEHOLD_MAY,
  unlisted: true,
  needs: ({ haul }) => ({ hauls: [haul] }),
  decide: setHaul,
};
