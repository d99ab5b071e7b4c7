import { addDays, daysBetween } from '@/core/calendar/calendarDate';
import { sayPastDate } from '@/core/calendar/sayDate';
import { instantInZone } from '@/core/calendar/instantInZone';
import type { Food } from '@/core/foods/food';
import type { Goal, HaulLine, HaulPart } from '@/core/haul/haul';
import { packedLitres } from '@/core/packaging/packedLitres';
import type { Container } from '@/core/packaging/container';
import type { KitchenZone, LyingPackage } from '@/core/placement/lyingPackage';
import type { PlacingPackage } from '@/core/placement/placing';
import { gramsOf, packLayout, type PackLayout } from '@/core/portions/packLayout';
import { packingOf } from '@/core/portions/packing';
import { FREEZE_IN_G_PER_L, type FreezingDay, spreadFreezing } from '@/core/portions/spreadFreezing';
import { warmedTo } from '@/core/thermal/warmedTo';
import { sayAmount } from '@/core/units/sayAmount';
import { readContainers } from '@/store/containers';
import { sql } from '@/store/database';
import { readHaulLines, readLatestHauls } from '@/store/hauls';
import { readFrozenSince, readPackages } from '@/store/packages';
import { type HouseholdContext, viewContext } from './context';
import { packagesOfPart } from './haul';
import { readKitchenContents } from './kitchenContents';
import { solvePlacement, type SolvedPlacement } from './placement';

/** Where the packs of a part go, or why they have no place. */
export interface PlaceView {
  key: string;
  line: string;
  part: number;
  called: string;
  amount_words: string;
  packs: number;
  /** Of those that are packed and still on the counter. */
  packages: { id: string; version: number; code: string }[];
  zone: { id: string; name: string; appliance: string; appliance_id: string } | null;
  goes: Goal;
  /** The cook's own choice. */
  pinned: boolean;
  /** Day of its turn to be frozen, from today = 1; 0: it is not frozen. */
  day: number;
  reasons: string[];
  /** What stands before it: "behind the 3 of 12 Aug". */
  behind: string;
  refused: { rule: string; says: string; helps: string[] } | null;
}

/** What a freezer takes in a day, and on which day what goes in. */
export interface FreezeInView {
  id: string;
  called: string;
  limit_g: number;
  today_g: number;
  days: {
    day: number;
    grams: number;
    packs: { key: string; called: string; count: number; grams: number }[];
  }[];
  warnings: string[];
  says: string;
}

export interface HaulPlacesView {
  places: PlaceView[];
  freezing: FreezeInView[];
}

/** Packs of one part that still want a place. */
interface Group {
  key: string;
  line: HaulLine;
  at: number;
  part: HaulPart;
  food: Food;
  amounts: number[];
  packages: PlaceView['packages'];
  daysLeft: number;
}

const CHILLED_C = 4;

/** The groups of packs that are not put away yet, open lines as they are planned. */
async function readGroups(context: HouseholdContext, lines: readonly HaulLine[]): Promise<Group[]> {
  const { household, reference, today } = context;
  const packages = await readPackages(
    sql(),
    household.id,
    lines.flatMap((line) => line.packages ?? []),
  );
  return lines.flatMap((line) => {
    const food = reference.byId.get(line.food);
    if (!food) return [];
    return line.parts.flatMap((part, at): Group[] => {
      const here = packagesOfPart(line, at).flatMap((id) => {
        const found = packages.get(id);
        return found && found.gone === null && found.counterSince !== null ? [found] : [];
      });
      if (line.packages !== null && here.length === 0) return [];
      const left = here[0]
        ? daysBetween(today, here[0].governingDate)
        : (food.fridgeDaysMax ?? 30) - daysBetween(line.start.on, today);
      return [
        {
          key: `${line.id}:${at}`,
          line,
          at,
          part,
          food,
          daysLeft: left,
          amounts: here.length > 0 ? here.map(({ amount }) => amount) : part.amounts,
          packages: here.map(({ id, version, code }) => ({ id, version, code })),
        },
      ];
    });
  });
}

function layoutOf({ part, line, food, amounts }: Group, containers: readonly Container[]): PackLayout {
  const own = containers.find(({ id }) => id === part.container) ?? null;
  return packLayout(packingOf(part.packing), { amount: Math.max(...amounts), unit: line.unit }, food, own);
}

/** The largest piece of it that does not give, mm; `null`: it gives. */
function rigidOf(layout: PackLayout): [number, number, number] | null {
  if (layout.kind === 'vessel') return [layout.diameterMm, layout.diameterMm, layout.heightMm];
  if (layout.kind === 'round') return [layout.diameterMm, layout.diameterMm, layout.diameterMm];
  if (layout.kind === 'lump' && layout.heightMm > 40) {
    return [layout.lengthMm, layout.widthMm, layout.heightMm];
  }
  return null;
}

function toPlacing(
  group: Group,
  state: 'chilled' | 'frozen',
  takes: number,
  containers: readonly Container[],
): PlacingPackage {
  const { form, wrap } = packingOf(group.part.packing);
  const { unit } = group.line;
  return {
    id: group.key,
    food: group.food,
    state,
    litres: group.amounts.reduce(
      (sum, amount) => sum + packedLitres({ amount, unit, form, wrap }, group.food.densityKgPerL),
      0,
    ),
    rigidMm: rigidOf(layoutOf(group, containers)),
    daysLeft: state === 'frozen' ? null : group.daysLeft,
    takesPerWeek: takes,
  };
}

const gramsIn = ({ line, food }: Group, amounts: readonly number[]): number =>
  Math.round(amounts.reduce((sum, amount) => sum + gramsOf(amount, line.unit, food.densityKgPerL), 0));

/** Grams frozen today by compartment. */
async function readFrozenToday({ household, kitchen, reference, today }: HouseholdContext) {
  const since = instantInZone(today, '00:00', household.timeZone);
  const compartmentOf = new Map(kitchen.zones.map((zone) => [zone.id, zone.compartmentId]));
  const grams = new Map<string, number>();
  for (const found of await readFrozenSince(sql(), household.id, since)) {
    const compartment = found.zoneId === null ? undefined : compartmentOf.get(found.zoneId);
    const frozen = found.history.some(
      ({ did, on }) => (did === 'frozen' || did === 'refrozen') && on === today,
    );
    if (compartment === undefined || !frozen) continue;
    const density = reference.byId.get(found.foodId)?.densityKgPerL ?? 1;
    const more = Math.round(gramsOf(found.amount, found.unit, density));
    grams.set(compartment, (grams.get(compartment) ?? 0) + more);
  }
  return grams;
}

/** "behind the 3 of 12 Aug": what of the same food lies there already. */
function behindOf(group: Group, zone: KitchenZone, lying: readonly LyingPackage[], today: string): string {
  const older = lying.filter((one) => one.zone === zone.id && one.food.id === group.food.id);
  const [first] = [...older].sort((a, b) => (a.startOn < b.startOn ? -1 : 1));
  if (!first) return '';
  const count = older.reduce((sum, { codes }) => sum + codes.length, 0);
  return `behind the ${count} of ${sayPastDate(first.startOn, today)}`;
}

/** A freezer's own days, with what the load does to what lies there. */
function toFreezeIn(
  compartment: { id: string; called: string; litres: number; temperatureC: number },
  todayG: number,
  days: readonly FreezingDay[],
  warnings: readonly string[],
  groups: ReadonlyMap<string, Group>,
  thereG: number,
): FreezeInView {
  const limit = Math.floor(FREEZE_IN_G_PER_L * compartment.litres);
  const first = days.find(({ day }) => day === 1)?.grams ?? 0;
  const touching = warmedTo(1, CHILLED_C, 1, compartment.temperatureC).toFixed(0).replace('-', '−');
  const all =
    first > 0 && thereG > 0
      ? ` Shared by all that lies there it would be ${warmedTo(
          first,
          CHILLED_C,
          thereG,
          compartment.temperatureC,
        )
          .toFixed(0)
          .replace('-', '−')} °C at worst until the machine has caught up.`
      : '';
  return {
    id: compartment.id,
    called: compartment.called,
    limit_g: limit,
    today_g: todayG,
    warnings: [...warnings],
    says: `Lay them one deep on the cold floor or a metal tray, apart, not against what is frozen: where two of a size touch, the frozen one warms to about ${touching} °C. File them upright tomorrow.${all}`,
    days: days.map(({ day, grams, ids }) => {
      const counted = new Map<string, number>();
      for (const id of ids) {
        const key = id.slice(0, id.lastIndexOf(':'));
        counted.set(key, (counted.get(key) ?? 0) + 1);
      }
      return {
        day,
        grams,
        packs: [...counted].map(([key, count]) => {
          const group = groups.get(key);
          const grams1 = group ? gramsIn(group, group.amounts.slice(0, 1)) : 0;
          return { key, called: group?.line.called ?? '', count, grams: grams1 * count };
        }),
      };
    }),
  };
}

/** The packs of a group whose turn is on a day, the rest left out. */
function onDay(group: Group, day: number, dayOf: ReadonlyMap<string, number>): Group | null {
  const mine = group.amounts.map((_, at) => (dayOf.get(`${group.key}:${at}`) ?? 1) === day);
  const amounts = group.amounts.filter((_, at) => mine[at]);
  if (amounts.length === 0) return null;
  return { ...group, amounts, packages: group.packages.filter((_, at) => mine[at]) };
}

/** The bench's right side: a place for every pack of the open haul, and which day what may be frozen. */
export async function readHaulPlaces(): Promise<HaulPlacesView> {
  const context = await viewContext();
  const { household, kitchen, today } = context;
  const [haul] = (await readLatestHauls(sql(), household.id, 1)).filter(({ closedAt }) => closedAt === null);
  if (!haul) return { places: [], freezing: [] };
  const [lines, containers, contents, frozenToday] = await Promise.all([
    readHaulLines(sql(), household.id, haul.id),
    readContainers(sql(), household.id),
    readKitchenContents(context),
    readFrozenToday(context),
  ]);
  const groups = await readGroups(context, lines);
  const zones = contents.zones.filter(({ keptEmpty }) => !keptEmpty);
  const lying = contents.lying.map(({ zone, food }) => ({ zone, food }));
  const takes = (group: Group): number =>
    contents.lying.find(({ food }) => food.id === group.food.id)?.takesPerWeek ?? 0;
  const pinsOf = (some: readonly Group[], cold: 'fridge' | 'freezer' | null) =>
    new Map(
      some.map((group) => {
        const zone = zones.find(({ id }) => id === group.part.zone);
        return [group.key, zone && (cold === null || zone.cold === cold) ? zone.id : null];
      }),
    );

  const cold = groups.filter(({ part }) => part.goes !== 'room');
  const placing = cold.map((group) =>
    toPlacing(group, group.part.goes === 'freezer' ? 'frozen' : 'chilled', takes(group), containers),
  );
  const solved = await solvePlacement(zones, lying, placing, pinsOf(cold, null));
  const zoneOf = new Map(solved.assignments.map((one) => [one.package.id, one]));
  const byKey = new Map(groups.map((group) => [group.key, group]));

  const dayOf = new Map<string, number>();
  const freezing = kitchen.compartments
    .filter((one) => one.cold === 'freezer')
    .map((compartment) => {
      const mine = cold.filter(
        ({ key, part }) => part.goes === 'freezer' && zoneOf.get(key)?.zone.compartment === compartment.id,
      );
      const packs = mine.flatMap((group) => {
        const layout = layoutOf(group, containers);
        return group.amounts.map((amount, at) => ({
          id: `${group.key}:${at}`,
          name: `${group.line.called} ${sayAmount(amount, group.line.unit)}`,
          grams: Math.max(1, gramsIn(group, [amount])),
          daysLeft: group.food.controlled ? group.daysLeft : null,
          thicknessMm: layout.kind === 'flat' ? layout.thicknessMm : null,
        }));
      });
      const limit = Math.max(1, Math.floor(FREEZE_IN_G_PER_L * compartment.litres));
      const todayG = frozenToday.get(compartment.id) ?? 0;
      const { days, warnings } = spreadFreezing(packs, limit, todayG);
      for (const { day, ids } of days) for (const id of ids) dayOf.set(id, day);
      const thereG = contents.lying
        .filter(({ zone }) => zones.find(({ id }) => id === zone)?.compartment === compartment.id)
        .reduce((sum, { litres }) => sum + litres * 700, 0);
      return toFreezeIn(
        compartment,
        todayG,
        days,
        warnings.map(({ says }) => says),
        byKey,
        thereG,
      );
    });

  const freeLeft = new Map(zones.map(({ id, freeLitres }) => [id, freeLitres]));
  for (const { package: found, zone } of solved.assignments) {
    freeLeft.set(zone.id, Math.max(0, (freeLeft.get(zone.id) ?? 0) - found.litres));
  }
  const later = cold.filter(
    (group) =>
      group.part.goes === 'freezer' &&
      group.amounts.some((_, at) => (dayOf.get(`${group.key}:${at}`) ?? 1) > 1),
  );
  const waits = later.flatMap((group) => {
    const days = [...new Set(group.amounts.map((_, at) => dayOf.get(`${group.key}:${at}`) ?? 1))];
    return days
      .filter((day) => day > 1)
      .flatMap((day) => {
        const some = onDay(group, day, dayOf);
        return some ? [{ ...some, key: `${group.key}:day${day}`, day }] : [];
      });
  });
  const nowLying = [
    ...lying,
    ...solved.assignments.map(({ package: found, zone }) => ({ zone: zone.id, food: found.food })),
  ];
  const chilled = await solvePlacement(
    zones.map((zone) => ({ ...zone, freeLitres: freeLeft.get(zone.id) ?? 0 })),
    nowLying,
    waits.map((group) => toPlacing(group, 'chilled', 0, containers)),
    pinsOf(waits, 'fridge'),
  );

  const view = (group: Group, key: string, day: number, by: SolvedPlacement<KitchenZone>): PlaceView => {
    const placed = by.assignments.find((one) => one.package.id === key);
    const refused = by.refused.find((one) => one.package.id === key);
    const wait = day > 1 ? [`frozen on ${addDays(today, day - 1)}: the freezer takes no more before`] : [];
    return {
      key,
      line: group.line.id,
      part: group.at,
      called: group.line.called,
      amount_words: sayAmount(group.amounts[0] ?? 0, group.line.unit),
      packs: group.amounts.length,
      packages: group.packages,
      goes: group.part.goes,
      pinned: group.part.zone !== null && placed?.zone.id === group.part.zone,
      day,
      zone: placed
        ? {
            id: placed.zone.id,
            name: placed.zone.name,
            appliance: placed.zone.applianceName,
            appliance_id: placed.zone.appliance,
          }
        : null,
      reasons: [...wait, ...(placed?.score.reasons ?? [])],
      behind: placed ? behindOf(group, placed.zone, contents.lying, today) : '',
      refused: refused ? { rule: refused.rule, says: refused.says, helps: refused.helps } : null,
    };
  };
  const places = groups.flatMap((group): PlaceView[] => {
    if (group.part.goes !== 'freezer') return [view(group, group.key, 0, solved)];
    const first = zoneOf.has(group.key) ? onDay(group, 1, dayOf) : group;
    return first ? [view(first, group.key, 1, solved)] : [];
  });
  return { places: [...places, ...waits.map((one) => view(one, one.key, one.day, chilled))], freezing };
}
