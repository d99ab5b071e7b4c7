import type { Container } from '@/core/model/container';
import { type FreezingPack, spreadFreezing } from '@/core/portions/spreadFreezing';
import { sayAmount } from '@/core/units/sayAmount';
import { gramsIn, layoutOf, somePacks } from './haulGroups';
import { joined, type Placed, type Placing } from './haulPlacing';

/** A freezer with what it takes in a day and what went in today already, grams. */
export interface FreezerDay {
  id: string;
  limitG: number;
  todayG: number;
}

/** A pack as the freeze-in limit sees it. */
function toFreeze(
  { group }: Placed,
  name: string,
  at: number,
  containers: readonly Container[],
): FreezingPack {
  const layout = layoutOf(group, containers);
  const amount = group.amounts[at] ?? 0;
  return {
    id: name,
    name: `${group.line.called} ${sayAmount(amount, group.line.unit)}`,
    grams: Math.max(1, gramsIn(group, [amount])),
    daysLeft: group.food.controlled ? group.daysLeft : null,
    thicknessMm: layout.kind === 'flat' ? layout.thicknessMm : null,
  };
}

/** The packs that were given a place in a freezer and are to be frozen there, as its limit sees them. */
export function packsIn(
  placed: readonly Placed[],
  compartment: string,
  containers: readonly Container[],
): FreezingPack[] {
  return placed
    .filter(
      ({ group, zone }) =>
        group.part.goes === 'freezer' && !group.line.start.frozen && zone?.compartment === compartment,
    )
    .flatMap((one) => one.group.names.map((name, at) => toFreeze(one, name, at, containers)));
}

/** Of the day's limit, what food that came in frozen takes: a tenth of its weight, for it warmed on the way (K5). */
export const FROZEN_SHARE = 0.1;

/** Grams of a freezer's day that go to what came in frozen; it goes in at once, whatever waits. */
export function frozenLoad(placed: readonly Placed[], compartment: string): number {
  const mine = placed.filter(
    ({ group, zone }) => group.line.start.frozen && zone?.compartment === compartment,
  );
  return Math.ceil(mine.reduce((sum, { group }) => sum + gramsIn(group, group.amounts), 0) * FROZEN_SHARE);
}

const without = (placed: readonly Placed[], names: ReadonlySet<string>): Placed[] =>
  placed.flatMap((one) => {
    const group = somePacks(one.group, one.group.key, (name) => !names.has(name));
    return group ? [{ ...one, group }] : [];
  });

/**
 * What one freezer cannot take today goes into another that can, where there is a place for it: the most urgent first. What the
 * cook put somewhere by hand stays there.
 */
export async function shareFreezers(
  placing: Placing,
  placed: readonly Placed[],
  freezers: readonly FreezerDay[],
): Promise<Placed[]> {
  let now = [...placed];
  for (const from of freezers) {
    for (const to of freezers.filter(({ id }) => id !== from.id)) {
      const mine = packsIn(now, from.id, placing.containers);
      const { days } = spreadFreezing(mine, from.limitG, from.todayG + frozenLoad(now, from.id));
      const taken = packsIn(now, to.id, placing.containers).reduce((sum, { grams }) => sum + grams, 0);
      let left = to.limitG - to.todayG - taken - frozenLoad(now, to.id);
      const chosen = new Set<string>();
      for (const name of days.filter(({ day }) => day > 1).flatMap(({ ids }) => ids)) {
        const grams = mine.find(({ id }) => id === name)?.grams ?? Infinity;
        if (grams > left) continue;
        left -= grams;
        chosen.add(name);
      }
      const moving = now.flatMap(({ group, zone }) => {
        if (zone?.compartment !== from.id || group.part.zone !== null) return [];
        const some = somePacks(group, `${group.key}:${to.id}`, (name) => chosen.has(name));
        return some ? [{ group: some, zone }] : [];
      });
      const there = placing.zones.filter(({ compartment }) => compartment === to.id);
      const tried = await placing.place(
        moving.map(({ group }) => group),
        () => 'frozen',
        there,
      );
      const moved = tried.filter(({ zone }) => zone !== null);
      const names = new Set(moved.flatMap(({ group }) => group.names));
      for (const { group, zone } of moving) {
        const gone = somePacks(group, group.key, (name) => names.has(name));
        if (gone) placing.free(gone, zone);
      }
      now = [...without(now, names), ...moved];
    }
  }
  return joined(now);
}
