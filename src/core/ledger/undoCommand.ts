import { dequal } from 'dequal';
import { Refusal } from '../refusal';
import type { LedgerEvent, Package } from './package';

/** What is known of the command that is to be undone. */
export interface PastCommand {
  says: string;
  /** True when an undo of it stands. */
  undone: boolean;
  /** In the order they happened. */
  events: readonly { before: Package | null; after: Package }[];
}

/**
 * Derives the undo of a command from its before-images, last event first. A package that changed since stays as it is
 * and the whole undo is refused, with the reason.
 *
 * @param present the packages as they are now
 * @throws Refusal `undo`
 */
export function undoCommand(past: PastCommand, present: (id: string) => Package): LedgerEvent[] {
  if (past.undone) throw new Refusal('undo', 'That was undone already.');
  return [...past.events].reverse().map(({ before, after }): LedgerEvent => {
    const now = present(after.id);
    if (!sameState(now, after)) {
      throw new Refusal('undo', `${now.code} has changed since (${sayNow(now)}); undo that first.`);
    }
    const version = now.version + 1;
    const restored: Package = before
      ? { ...before, version }
      : {
          ...now,
          gone: { how: 'undone', on: now.startOn, reason: null },
          zoneId: null,
          counterSince: null,
          version,
        };
    return { type: 'package.undone', before: now, after: restored, says: `Undone: ${past.says}` };
  });
}

/** True when two images differ in nothing but the version: what came between was itself undone. */
function sameState(a: Package, b: Package): boolean {
  return dequal({ ...a, version: 0 }, { ...b, version: 0 });
}

function sayNow(now: Package): string {
  if (now.gone) return now.gone.how;
  return now.counterSince === null ? now.state : 'on the counter';
}
