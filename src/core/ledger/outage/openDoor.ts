import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { Refusal } from '../../model/refusal';
import { keptDecided } from '../settings/keptDecided';
import { cutOf } from './cutOf';

interface Told {
  cut: string;
  part: string;
  opening: string;
  seconds: number;
}

/** A door was opened during a cut, at the time of the command. @throws Refusal `cut` */
export const openDoorCommand: CommandKind<Told> = {
  type: 'cut.open',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['cut', 'cut-opening'] }),
  decide: (command, world) => {
    const cut = cutOf(world, command.cut);
    const part = cut.parts.find(({ id }) => id === command.part);
    if (!part) throw new Refusal('cut', 'That is not in this power cut.');
    if (world.at < cut.from || world.at > (cut.until ?? world.now))
      throw new Refusal('cut', 'The power was on then: doors count only while it is off.');
    const opening = {
      ...{ id: command.opening, cut: cut.id, part: part.id },
      ...{ at: world.at, seconds: command.seconds },
    };
    return keptDecided(world, 'cut-opening', opening.id, opening, `${part.called} was opened.`);
  },
};
