import type { KitchenZone, LyingPackage } from './lyingPackage';
import { mayDrip } from './neighbours';
import { isExposed, isRaw } from './placing';

/** Where the foods of a chest lie, or should: the zone of each by the package's id. */
export type ChestPlan = ReadonlyMap<string, string>;

/** Lifts a week to reach everything as often as it is taken. */
export function weeklyLifts(
  zones: readonly KitchenZone[],
  contents: readonly LyingPackage[],
  plan: ChestPlan,
): number {
  const lifts = new Map(zones.map((zone) => [zone.id, zone.lifts]));
  return contents.reduce(
    (sum, { id, zone, takesPerWeek }) => sum + takesPerWeek * (lifts.get(plan.get(id) ?? zone) ?? 0),
    0,
  );
}

/** Litres a zone has for the chest's own contents. */
function roomOf(zone: KitchenZone, contents: readonly LyingPackage[]): number {
  const inside = contents
    .filter((found) => found.zone === zone.id)
    .reduce((sum, { litres }) => sum + litres, 0);
  return zone.freeLitres + inside;
}

const may = (zone: KitchenZone, found: LyingPackage): boolean => found.zone === zone.id || !zone.keptEmpty;
/** A move must be worth something: it costs this much of a lift a week. */
const MOVE = 0.001;

interface Choice {
  name: string;
  zone: KitchenZone;
  z: number;
}

/** Raw never comes above or beside what is not cooked after it (P3), but where both lie so already. */
function drips(
  zones: readonly KitchenZone[],
  contents: readonly LyingPackage[],
  names: readonly (readonly Choice[])[],
): string[] {
  const rows: string[] = [];
  contents.forEach((raw, r) => {
    if (!isRaw(raw.food)) return;
    contents.forEach((other, o) => {
      if (!isExposed(other)) return;
      for (const above of names[r] ?? []) {
        for (const below of names[o] ?? []) {
          const asNow = above.zone.id === raw.zone && below.zone.id === other.zone;
          if (!asNow && mayDrip(above.zone, below.zone)) {
            rows.push(`drip${r}_${above.z}_${o}_${below.z}: ${above.name} + ${below.name} <= 1`);
          }
        }
      }
    });
  });
  return rows;
}

/**
 * The plan of a chest as a program for a solver: every food in one zone, no zone over its room, the fewest lifts a week, and of
 * equal plans the one with the fewest moves. Binary `x<food>_<zone>` by position in the lists.
 */
export function chestProgram(zones: readonly KitchenZone[], contents: readonly LyingPackage[]): string {
  const names = contents.map((found, f) =>
    zones.flatMap((zone, z): Choice[] => (may(zone, found) ? [{ name: `x${f}_${z}`, zone, z }] : [])),
  );
  const sum = (terms: readonly string[]): string => terms.join('\n + ');
  const cost = contents.flatMap((found, f) =>
    (names[f] ?? []).map(({ name, zone }) => {
      const lifts = found.takesPerWeek * zone.lifts + (zone.id === found.zone ? 0 : MOVE);
      return `${lifts.toFixed(6)} ${name}`;
    }),
  );
  const once = names.map((mine, f) => `one${f}: ${sum(mine.map(({ name }) => name))} = 1`);
  const room = zones.flatMap((zone, z) => {
    const terms = contents.flatMap((found, f) =>
      (names[f] ?? []).filter((one) => one.z === z).map(({ name }) => `${found.litres.toFixed(4)} ${name}`),
    );
    // What lies there now lies there, however full: the present plan is always possible.
    return terms.length === 0
      ? []
      : [`room${z}: ${sum(terms)} <= ${(roomOf(zone, contents) + 1e-3).toFixed(4)}`];
  });
  const apart = drips(zones, contents, names);
  return [
    'Minimize',
    ` obj: ${sum(cost)}`,
    'Subject To',
    ...[...once, ...room, ...apart].map((row) => ` ${row}`),
    'Binary',
    ...names.flat().map(({ name }) => ` ${name}`),
    'End',
  ].join('\n');
}

/** What the solver chose, as a plan. */
export function readChestPlan(
  chosen: readonly string[],
  zones: readonly KitchenZone[],
  contents: readonly LyingPackage[],
): ChestPlan {
  const plan = new Map<string, string>();
  for (const name of chosen) {
    const [, f, z] = /^x(\d+)_(\d+)$/.exec(name) ?? [];
    const [found, zone] = [contents[Number(f)], zones[Number(z)]];
    if (found && zone) plan.set(found.id, zone.id);
  }
  return plan;
}
