import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { Refusal } from '../../model/refusal';
import { sayCelsius } from '../../powercut/sayCut';
import { keptDecided } from '../settings/keptDecided';
import { cutOf } from './cutOf';
import { oddReading } from './oddReading';

const DAY_MS = 86_400_000;

interface Told {
  cut: string;
  part: string;
  /** The reading's own id; one that is known is put right. */
  reading: string;
  /** °C; `null` takes it away. */
  c: number | null;
  sure: boolean;
}

/**
 * A thermometer was read in a part of a cut, at the time of the command. Up to a day before the cut it tells how cold it began.
 * Read twice at one moment, the warmer counts when it is judged.
 *
 * @throws Refusal `reading` for an odd one, `cut` for one that is to come or long before
 */
export const readCutCommand: CommandKind<Told & { at?: string }> = {
  type: 'cut.read',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['cut', 'cut-reading'] }),
  decide: (command, world) => {
    const cut = cutOf(world, command.cut);
    const part = cut.parts.find(({ id }) => id === command.part);
    if (!part) throw new Refusal('cut', 'That is not in this power cut.');
    if (command.c === null)
      return keptDecided(
        world,
        'cut-reading',
        command.reading,
        null,
        `A reading of ${part.called} was taken away.`,
      );
    if (world.at > world.now) throw new Refusal('cut', 'That reading is still to come.');
    if (Date.parse(world.at) < Date.parse(cut.from) - DAY_MS)
      throw new Refusal('cut', 'That was read more than a day before the power went. Check its time.');
    const odd = oddReading(part.called, part.kind, command.c);
    if (odd !== null && !command.sure) throw new Refusal('reading', odd);
    const reading = { id: command.reading, cut: cut.id, part: part.id, at: world.at, c: command.c };
    return keptDecided(
      world,
      'cut-reading',
      reading.id,
      reading,
      `${part.called}: ${sayCelsius(command.c)}.`,
    );
  },
};
