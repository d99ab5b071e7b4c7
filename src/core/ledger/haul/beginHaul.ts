import { HOUSEHOLD_MAY } from '../../model/role';
import { wasSet, type Decision } from '../../model/decision';
import type { Haul } from '../../model/haul';
import { Refusal } from '../../model/refusal';
import { haulEvent } from './haulWorld';
import type { World } from '../../model/world';
import { checkLeft, notAhead, outSinceOf } from './leftCold';
import type { CommandKind } from '../../model/command';

/** A haul as it is begun. */
export type NewHaul = Omit<Haul, 'closedAt' | 'begunAt' | 'outSince'>;

/** Begins a haul. @throws Refusal `haul` when its id is in use, another is open, or it left the cold after now */
function beginHaul({ haul }: { haul: NewHaul }, world: World): Decision {
  if (world.haul(haul.id)) throw new Refusal('haul', 'That haul was begun already.');
  const open = world.openHaul();
  if (open) throw new Refusal('haul', `${open.name} is still open: put it away or close it first.`);
  const leftAt = notAhead(haul.leftAt, world);
  checkLeft(leftAt, world);
  const told = { ...haul, leftAt, begunAt: world.at, closedAt: null };
  const begun: Haul = { ...told, outSince: outSinceOf(told) };
  return wasSet(haulEvent('haul.begun', null, begun, `Began ${begun.name}.`));
}

export const beginHaulCommand: CommandKind<{ haul: NewHaul }> = {
  type: 'haul.begin',
  may: HOUSEHOLD_MAY,
  needs: ({ haul: { id } }) => ({ hauls: [id], openHaul: true }),
  decide: beginHaul,
};
