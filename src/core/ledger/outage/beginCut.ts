import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { type Cut, type CutPart, USUAL_ROOM_C } from '../../model/cut';
import type { Decision } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { cutDecided } from './cutDecided';

/** A part as it is told: a compartment of a drawn appliance. */
export type ToldPart = Pick<CutPart, 'id' | 'fill' | 'doors'>;

/** A drawn compartment as a part of a cut; `null`: nobody drew it. */
export function drawnPart(world: World, { id, fill, doors }: ToldPart): CutPart | null {
  for (const appliance of world.order()) {
    const drawing = world.appliance(appliance)?.drawing;
    const found = drawing?.compartments.find((one) => one.id === id);
    if (!drawing || !found) continue;
    const several = drawing.compartments.length > 1 && found.name !== '';
    const called = several ? `${drawing.name}, ${found.name.toLowerCase()}` : drawing.name;
    const known = { telltale: 'none' as const, roomC: USUAL_ROOM_C, iceKg: 0, waterKg: 0 };
    const zones = drawing.zones.filter(({ compartmentId }) => compartmentId === id).map((zone) => zone.id);
    return { id, called, kind: found.cold, drawn: true, fill, doors, ...known, zones };
  }
  return null;
}

/** The power went off: since when, and in which appliances. It may be told late. @throws Refusal `cut` */
function beginCut(command: { cut: string; from: string; parts: ToldPart[] }, world: World): Decision {
  if (world.kept('cut', command.cut)) throw new Refusal('cut', 'This power cut is kept already.');
  const parts = command.parts.map((part) => {
    const drawn = drawnPart(world, part);
    if (!drawn) throw new Refusal('cut', 'One of these appliances is not drawn any more.');
    return drawn;
  });
  const cut: Cut = { id: command.cut, from: command.from, until: null, closedAt: null, parts };
  return cutDecided(world, cut, `The power went off: ${parts.map(({ called }) => called).join(', ')}.`);
}

export const beginCutCommand: CommandKind<{ cut: string; from: string; parts: ToldPart[] }> = {
  type: 'cut.begin',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['cut'] }),
  decide: beginCut,
};
