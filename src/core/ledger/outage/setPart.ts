import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import type { CutPart } from '../../model/cut';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { drawnPart } from './beginCut';
import { cutDecided } from './cutDecided';
import { cutOf } from './cutOf';

interface Told {
  cut: string;
  part: Omit<CutPart, 'called' | 'kind' | 'drawn' | 'zones' | 'telltaleAt'> & {
    called?: string;
    kind?: CutPart['kind'];
    /** Its telltale was looked at just now; else only another one than before was. */
    looked?: boolean;
  };
  /** It had power after all. */
  off: boolean;
}

/** A part as it is now told: one that is in the cut, one that is drawn, else a cool box or a neighbour's. @throws Refusal */
function partOf({ part }: Told, known: CutPart | undefined, world: World): CutPart {
  const { called = 'Cool box', kind = 'fridge', looked = false, ...told } = part;
  const before = known ?? drawnPart(world, told) ?? { called, kind, drawn: false };
  if (told.telltale !== 'none' && before.kind === 'fridge')
    throw new Refusal('cut', `${before.called} has no freezer, so no telltale tells of it.`);
  const fresh = told.telltale !== 'none' && (looked || told.telltale !== known?.telltale);
  return { ...before, ...told, ...(fresh ? { telltaleAt: world.at } : {}) };
}

/**
 * What is known of one part of a cut: its doors, its fill, its telltale; or that it had power after all. A part that nobody drew is
 * a cool box or a neighbour's, where food is brought.
 *
 * @throws Refusal `cut` for a telltale where nothing freezes
 */
export const setPartCommand: CommandKind<Told> = {
  type: 'cut.part',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['cut'] }),
  decide: (command, world) => {
    const cut = cutOf(world, command.cut);
    const known = cut.parts.find(({ id }) => id === command.part.id);
    if (command.off) {
      const parts = cut.parts.filter(({ id }) => id !== command.part.id);
      return cutDecided(world, { ...cut, parts }, `${known?.called ?? 'It'} had power.`);
    }
    const part = partOf(command, known, world);
    const parts = known ? cut.parts.map((one) => (one === known ? part : one)) : [...cut.parts, part];
    return cutDecided(world, { ...cut, parts }, `Noted of ${part.called} in the power cut.`);
  },
};
