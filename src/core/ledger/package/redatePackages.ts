import { dequal } from 'dequal';
import { earlier } from '../../calendar/calendarDate';
import { Refusal } from '../../refusal';
import { judgePackage } from './judgePackage';
import type { LedgerEvent, Package } from '../../model/package';
import type { World } from '../../model/world';

/**
 * Dates packages anew after figures or caution changed. A history that the new figures would not have allowed (frozen
 * after a stricter use by) keeps the dates it has.
 */
export function redatePackages(packages: readonly Package[], world: World): LedgerEvent[] {
  return packages.flatMap((before): LedgerEvent[] => {
    if (before.gone !== null) return [];
    try {
      const after = judgePackage({ ...before, version: before.version + 1 }, world, before.history.length);
      if (dequal({ ...after, version: 0 }, { ...before, version: 0 })) return [];
      return [
        { type: 'package.redated', before, after, says: `${before.called} ${before.code} dated anew.` },
      ];
    } catch (error) {
      if (error instanceof Refusal) return [];
      throw error;
    }
  });
}

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
export function renewFigures(world: World): LedgerEvent[] {
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
