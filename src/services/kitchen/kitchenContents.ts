import { addDays, daysBetween } from '@/core/calendar/calendarDate';
import { dateInZone } from '@/core/calendar/dateInZone';
import type { Food } from '@/core/model/food';
import { standBefore } from '@/core/kitchen/liftsTo';
import { placedBox } from '@/core/kitchen/boxes';
import type { Package } from '@/core/model/package';
import { packedLitres } from '@/core/packaging/packedLitres';
import { liesClosed } from '@/core/placement/liesClosed';
import type { KitchenZone, LyingPackage } from '@/core/placement/lyingPackage';
import { sql } from '@/store/database';
import { drawingOf } from '@/store/kitchens';
import { readFirstOut } from '@/store/packages';
import { readFills } from '@/store/today';
import { readLastLeft, readZoneTakes, type ZoneTakes } from '@/store/zoneTakes';
import type { HouseholdContext } from '../household/context';

/** Weeks over which takings are counted. */
const WEEKS = 13;
const MOST_PACKAGES = 20_000;

/** The kitchen and what lies in it, as check, tidy and the chest plan see it. */
export interface KitchenContents {
  zones: KitchenZone[];
  /** Packages alike in food, zone and state count as one; its id is that of the first. */
  lying: LyingPackage[];
  /** The packages behind each. */
  packages: ReadonlyMap<string, Package[]>;
}

/** Takings a week of a food, in all zones of one cold. */
function takesOf(takes: readonly ZoneTakes[], foodId: string, zoneIds: ReadonlySet<string>): number {
  const times = takes.filter((one) => one.foodId === foodId && zoneIds.has(one.zoneId));
  return times.reduce((sum, one) => sum + one.times, 0) / WEEKS;
}

/** True for a package that lies closed. */
export function isClosed({ openedOn, wrap, history: [first] }: Package, food: Food): boolean {
  const loose = first?.did === 'bought' && (first.loose ?? false);
  return liesClosed({ opened: openedOn !== null, wrap, did: first?.did ?? '', loose }, food);
}

function toLying(
  group: readonly Package[],
  food: Food,
  takesPerWeek: number,
  today: string,
): LyingPackage | null {
  const [first] = group;
  if (!first || first.zoneId === null) return null;
  return {
    id: first.id,
    zone: first.zoneId,
    called: first.called,
    food,
    state: first.state === 'frozen' ? 'frozen' : 'chilled',
    litres: group.reduce((sum, one) => sum + packedLitres(one, food.densityKgPerL), 0),
    rigidMm: null,
    daysLeft: Math.min(...group.map(({ governingDate }) => daysBetween(today, governingDate))),
    takesPerWeek,
    opened: first.openedOn !== null,
    closed: isClosed(first, food),
    startOn: first.startOn,
    codes: group.map(({ code }) => code),
  };
}

export async function readKitchenContents(context: HouseholdContext): Promise<KitchenContents> {
  const { household, kitchen, reference, today } = context;
  const since = `${addDays(today, -7 * WEEKS)}T00:00:00.000Z`;
  const [packages, fills, takes, left] = await Promise.all([
    readFirstOut(sql(), household.id, MOST_PACKAGES),
    readFills(sql(), household.id),
    readZoneTakes(sql(), household.id, since),
    readLastLeft(sql(), household.id),
  ]);
  const came = new Map<string, string>();
  const groups = new Map<string, Package[]>();
  for (const found of packages) {
    if (found.zoneId === null) continue;
    const latest = came.get(found.zoneId);
    if (latest === undefined || latest < found.cameOn) came.set(found.zoneId, found.cameOn);
    const food = reference.byId.get(found.foodId);
    const closed = food !== undefined && isClosed(found, food);
    const key = [found.foodId, found.zoneId, found.state, found.openedOn !== null, closed].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), found]);
  }
  const drawings = new Map(kitchen.appliances.map(({ id }) => [id, drawingOf(kitchen, id)]));
  const zones = kitchen.zones.map((zone): KitchenZone => {
    const drawing = drawings.get(zone.applianceId);
    const gone = left.get(zone.id);
    const leftOn = gone === undefined ? null : dateInZone(gone, household.timeZone);
    const cameOn = came.get(zone.id) ?? null;
    const filled = fills.get(zone.id)?.litres ?? 0;
    return {
      id: zone.id,
      name: zone.name,
      appliance: zone.applianceId,
      applianceName: zone.applianceName,
      compartment: zone.compartmentId,
      cold: zone.cold,
      side: zone.side,
      kind: zone.kind,
      // Nobody's reading is none: by it no place is refused.
      temperatureC: zone.measured?.celsius ?? null,
      humidity: zone.humidity,
      order: placedBox(zone, kitchen.zones).yMm,
      litres: zone.litres,
      freeLitres: Math.max(0, Math.min(zone.litres, zone.limitLitres ?? Infinity) - filled),
      filledLitres: filled,
      widthMm: zone.widthMm,
      depthMm: zone.depthMm,
      heightMm: zone.heightMm,
      leakproof: zone.leakproof,
      only: zone.only,
      never: zone.never,
      person: zone.person,
      purpose: zone.purpose,
      lifts: zone.lifts,
      keptEmpty: zone.keptEmpty,
      hardToReach: zone.hardToReach,
      limitLitres: zone.limitLitres,
      behind: drawing ? standBefore(zone, drawing).length : 0,
      touchedOn: leftOn === null || (cameOn !== null && cameOn > leftOn) ? cameOn : leftOn,
    };
  });
  const idsOf = (cold: 'fridge' | 'freezer'): ReadonlySet<string> =>
    new Set(zones.filter((zone) => zone.cold === cold).map(({ id }) => id));
  const cold = { fridge: idsOf('fridge'), freezer: idsOf('freezer') };
  const behind = new Map<string, Package[]>();
  const lying = [...groups.values()].flatMap((group): LyingPackage[] => {
    const [first] = group;
    const food = first && reference.byId.get(first.foodId);
    if (!first || !food) return [];
    const where = first.state === 'frozen' ? cold.freezer : cold.fridge;
    const one = toLying(group, food, takesOf(takes, food.id, where), today);
    if (one) behind.set(one.id, group);
    return one ? [one] : [];
  });
  return { zones, lying, packages: behind };
}
