import type { CalendarDate } from '../../calendar/calendarDate';
import type { PlacingRefusal } from '../hardRules';
import { bestPlace, type KitchenZone, type LyingPackage } from '../lyingPackage';

/** What one button does about a finding. */
export type CheckFix =
  | { kind: 'move'; package: string; to: string; toName: string }
  | { kind: 'eat-first'; package: string }
  | { kind: 'look'; zone: string };

/** Something that is wrong in the kitchen, why, and what to do. */
export interface Finding {
  zone: KitchenZone;
  packages: LyingPackage[];
  says: string;
  why: string;
  fix: CheckFix;
}

/** A kitchen as it is looked through. */
export interface Look {
  today: CalendarDate;
  zones: readonly KitchenZone[];
  contents: readonly LyingPackage[];
  /** The zone that a package lies in. */
  zoneOf(found: LyingPackage): KitchenZone | undefined;
  /** What lies in a zone. */
  inside(zone: KitchenZone): LyingPackage[];
  /** What speaks against a package where it lies. */
  faultOf(found: LyingPackage): PlacingRefusal | null;
}

/** One rule of the check: everything in the kitchen that goes against it. */
export type Rule = (look: Look) => Finding[];

/** To another zone where there is a better one, else to look at it. */
export function elsewhere(found: LyingPackage, { zones, contents }: Look): CheckFix {
  const better = bestPlace(found, zones, contents);
  return better
    ? { kind: 'move', package: found.id, to: better.zone.id, toName: better.zone.name }
    : { kind: 'look', zone: found.zone };
}

/** Items by a key, in the order of their first. */
export function grouped<Item>(items: readonly Item[], keyOf: (item: Item) => string): Item[][] {
  const groups = new Map<string, Item[]>();
  for (const item of items) groups.set(keyOf(item), [...(groups.get(keyOf(item)) ?? []), item]);
  return [...groups.values()];
}

/** Packages whose place has a fault, as findings: where they lie, what speaks against it, why that matters. */
export function misplaced(
  look: Look,
  isIt: (fault: PlacingRefusal, found: LyingPackage) => boolean,
  why: string,
): Finding[] {
  return look.contents.flatMap((found): Finding[] => {
    const zone = look.zoneOf(found);
    const fault = look.faultOf(found);
    if (!zone || !fault || !isIt(fault, found)) return [];
    const says = `${found.called} lies in ${zone.name}. ${fault.says}`;
    return [{ zone, packages: [found], says, why, fix: elsewhere(found, look) }];
  });
}
