import type { Haul } from '@/core/model/haul';
import type { KitchenZone } from '@/core/placement/lyingPackage';
import { type HaulGroup, somePacks } from './haulGroups';
import { joined, type Placed } from './haulPlacing';

type Plan = NonNullable<Haul['plan']>;

/** The package behind a pack's name; none while it is not labelled. */
const packageOf = (group: HaulGroup, name: string) => group.packages[group.names.indexOf(name)];

/** On which day a pack was told to be frozen, when the walk began. */
export function toldDay(
  name: string,
  groupOf: ReadonlyMap<string, HaulGroup>,
  plan: Plan,
): number | undefined {
  const group = groupOf.get(name);
  const found = group && packageOf(group, name);
  return found && (plan[found.id]?.day || undefined);
}

/** What is proposed now instead of what was told. */
function sayChanged({ zone, reasons, refused }: Placed): string {
  if (zone === null) return refused?.says ?? '';
  return `${zone.name}, ${zone.applianceName}, would be proposed now: ${reasons[0] ?? 'there is more room'}`;
}

/**
 * Keeps what was told when the walk began: every pack stays where it was sent, and what would be proposed now is shown beside
 * it. What the cook chose since counts, and so does a zone that is drawn no more.
 *
 * @param waiting packs that wait in the fridge for their day, rather than those that go where they belong
 */
export function asTold(
  placed: readonly Placed[],
  plan: Plan,
  zones: readonly KitchenZone[],
  waiting = false,
): Placed[] {
  const kept = placed.flatMap((one): Placed[] => {
    const { group } = one;
    const toldZone = (name: string): string | null => {
      const found = packageOf(group, name);
      const told = found && plan[found.id];
      if (!told || told.zone === null || told.day > 1 !== waiting || group.part.zone !== null) return null;
      return told.zone;
    };
    const names = new Map(group.names.map((name) => [name, toldZone(name)]));
    return [...new Set(names.values())].flatMap((id): Placed[] => {
      const some = somePacks(group, `${group.key}:${id ?? ''}`, (name) => names.get(name) === id);
      const zone = zones.find((there) => there.id === id);
      if (!some) return [];
      if (!zone || zone.id === one.zone?.id) return [{ ...one, group: some }];
      return [{ group: some, zone, reasons: [], refused: null, changed: sayChanged(one) }];
    });
  });
  return joined(kept);
}
