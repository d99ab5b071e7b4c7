import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import type { Cut, CutSeen, Seen } from '../../model/cut';
import type { Decision } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import type { SettingEvent } from '../../model/setting';
import type { World } from '../../model/world';
import { keptDecided } from '../settings/keptDecided';
import { cutOf } from './cutOf';

interface Told {
  cut: string;
  packages: string[];
  /** What was seen of all of them; left out: as before, `null`: nothing after all. */
  seen?: Seen | null;
  /** Where they were brought; left out: as before, `null`: they stayed, or came back. */
  to?: string | null;
}

const seenKey = (cut: string, packageId: string): string => `${cut}/${packageId}`;

function moved({ to }: Told, before: CutSeen | null, cut: Cut, world: World): CutSeen['movedTo'] {
  if (to === undefined) return before?.movedTo ?? null;
  // The hours in it go on to count (O12).
  if (to === null) return before?.movedTo ? { ...before.movedTo, backAt: world.at } : null;
  if (!cut.parts.some(({ id, drawn }) => id === to && !drawn))
    throw new Refusal('cut', 'Say first which cool box, or whose freezer, it goes to.');
  return { part: to, at: world.at };
}

/**
 * What eyes and a thermometer told of single packages in a cut, or that they were brought into a cool box; kept one by one, so that
 * two people may walk at once and a walk may be left half done.
 *
 * @throws Refusal `cut`
 */
export const seeInCutCommand: CommandKind<Told> = {
  type: 'cut.see',
  may: HOUSEHOLD_MAY,
  needs: ({ packages }) => ({ kept: ['cut', 'cut-seen'], packages }),
  decide: (command, world): Decision => {
    const cut = cutOf(world, command.cut);
    const settings = command.packages.flatMap((id): SettingEvent[] => {
      const { called, code } = world.package(id);
      const before = world.kept('cut-seen', seenKey(cut.id, id));
      const seen = command.seen === undefined ? (before?.seen ?? {}) : (command.seen ?? {});
      const movedTo = moved(command, before, cut, world);
      const none = Object.keys(seen).length === 0 && movedTo === null;
      const seenAt = command.seen === undefined ? before?.at : world.at;
      const at = seenAt === undefined ? {} : { at: seenAt };
      const value = none ? null : { cut: cut.id, package: id, seen, movedTo, ...at };
      const to = cut.parts.find((part) => part.id === movedTo?.part)?.called;
      const says =
        command.to === undefined
          ? `Looked at ${called} ${code} in the power cut.`
          : `${called} ${code} ${to ? `went into ${to}` : 'is back'}.`;
      return keptDecided(world, 'cut-seen', seenKey(cut.id, id), value, says).settings;
    });
    return { lots: [], events: [], settings };
  },
};
