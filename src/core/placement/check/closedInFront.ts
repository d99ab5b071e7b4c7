import { reachOf } from '../lyingPackage';
import { elsewhere, type Finding, type Rule } from './finding';
import { openedOfFood } from './twoOpen';

/** C6: the closed one is nearer at hand than the open one. */
export const closedInFront: Rule = (look) =>
  openedOfFood(look).flatMap(({ open: [first], alike }): Finding[] => {
    const zone = first && look.zoneOf(first);
    if (!first || !zone) return [];
    const closed = alike.find((other) => {
      const there = look.zoneOf(other);
      return !other.opened && there && there.cold === zone.cold && reachOf(there) < reachOf(zone);
    });
    if (!closed) return [];
    return [
      {
        zone,
        packages: [first, closed],
        says: `The closed ${closed.called} in ${look.zoneOf(closed)?.name ?? ''} is at hand before the open one in ${zone.name}.`,
        why: 'The next one is opened while the first still stands behind.',
        fix: elsewhere(first, look),
      },
    ];
  });
