import { dequal } from 'dequal';
import { Refusal } from '../../model/refusal';
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
