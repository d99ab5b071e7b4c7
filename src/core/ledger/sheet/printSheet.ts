import { HOUSEHOLD_MAY } from '../../model/role';
import { firstOutKey } from '../../firstout/firstOutKey';
import type { CommandKind } from '../../model/command';
import type { Decision } from '../../model/decision';
import type { DoorSheet } from '../../model/kept';
import type { Package } from '../../model/package';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { sayAmount } from '../../units/sayAmount';
import { keptDecided } from '../settings/keptDecided';

/** Packs that stand on one line of the sheet: of one name and size. */
const nameOf = ({ called, amount, unit }: Package): string =>
  unit === 'pc' && amount === 1 ? called : `${called} ${sayAmount(amount, unit)}`;

/**
 * Puts down what lies in an appliance for a list on its door: each kind with a box for every pack, first out first. The list may be
 * printed from it at any time as it was, and caught up with what was crossed out.
 *
 * @throws Refusal `sheet` for an appliance nobody drew, or with nothing in it
 */
function printSheet(command: { appliance: string }, world: World): Decision {
  const drawn = world.appliance(command.appliance);
  if (!drawn) throw new Refusal('sheet', 'That appliance is not drawn any more.');
  const { id, name, zones } = drawn.drawing;
  const inside = new Set(zones.map((zone) => zone.id));
  const here = world.loaded().filter(({ zoneId }) => zoneId !== null && inside.has(zoneId));
  if (here.length === 0) throw new Refusal('sheet', `Nothing lies in ${name}: there is nothing to print.`);
  const groups = new Map<string, string[]>();
  for (const found of [...here].sort((a, b) => (firstOutKey(a) < firstOutKey(b) ? -1 : 1))) {
    const line = nameOf(found);
    groups.set(line, [...(groups.get(line) ?? []), found.id]);
  }
  const sheet: DoorSheet = {
    code: world.newCode(),
    appliance: id,
    called: name,
    printedAt: world.at,
    groups: [...groups].map(([line, packages]) => ({ name: line, packages })),
  };
  const says = `Door sheet ${sheet.code} of ${name}: ${groups.size} kinds, ${here.length} packs.`;
  return keptDecided(world, 'sheet', sheet.code, sheet, says);
}

export const printSheetCommand: CommandKind<{ appliance: string }> = {
  type: 'sheet.print',
  may: HOUSEHOLD_MAY,
  needs: ({ appliance }) => ({ appliances: [appliance], kept: ['sheet'], newCodes: 1 }),
  decide: printSheet,
};
