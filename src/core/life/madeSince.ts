import type { ZoneMove } from '../model/world';

/**
 * Ids of what was made of a package: split off it, put together with it, and of those in turn (L2).
 *
 * @param moves of each package since then, with what it was made of
 */
export function madeSince(moves: ReadonlyMap<string, readonly ZoneMove[]>, packageId: string): string[] {
  const made = new Set<string>();
  const isPart = ({ id }: { id: string }): boolean => id === packageId || made.has(id);
  for (let before = -1; before < made.size;) {
    before = made.size;
    for (const [id, its] of moves) if (its.some(({ of = [] }) => of.some(isPart))) made.add(id);
  }
  made.delete(packageId);
  return [...made];
}
