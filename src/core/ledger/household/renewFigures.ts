import { earlier } from '../../calendar/calendarDate';
import type { LedgerEvent, Package } from '../../model/package';
import type { World } from '../../model/world';
import { redatePackages } from '../package/redatePackages';
import type { CommandKind } from '../../model/command';
import { happened } from '../../model/decision';

/** The stricter of two sets of dates of one package, each date by itself. */
function stricter(before: Package, after: Package): Package {
  const useBy = after.useBy === null ? before.useBy : earlier(before.useBy, after.useBy);
  const bestBy = earlier(before.bestBy, after.bestBy) ?? after.bestBy;
  return {
    ...after,
    useBy,
    bestBy,
    governingDate: useBy ?? bestBy,
    governingKind: useBy === null ? 'best-by' : 'use-by',
  };
}

/**
 * Dates packages anew by reference figures that came with a new version: only earlier, never later. What would have become
 * later keeps its date until something happens to it.
 */
function renewFigures(world: World): LedgerEvent[] {
  return redatePackages(world.loaded(), world).flatMap((event): LedgerEvent[] => {
    const { before } = event;
    if (before === null) return [];
    const after = stricter(before, event.after);
    const same = after.useBy === before.useBy && after.bestBy === before.bestBy;
    if (same && after.condemned === before.condemned) return [];
    return [
      {
        ...event,
        after,
        says: `${before.called} ${before.code}: a stricter figure came with this version; its date is earlier.`,
      },
    ];
  });
}

export const renewFiguresCommand: CommandKind = {
  type: 'figures.renew',
  needs: () => ({ foods: 'all' }),
  decide: (_command, world) => happened(renewFigures(world)),
  says: ({ events }) =>
    events.length > 1
      ? `${events.length} packages are dated earlier: stricter figures came with this version.`
      : (events[0]?.says ?? 'Nothing changed.'),
};
