import { addDays } from '@/core/calendar/calendarDate';
import { sayPastDate, sayPlainDate } from '@/core/calendar/sayDate';
import type { Goal } from '@/core/haul/haul';
import { type LabelText, labelText } from '@/core/labels/labelText';
import { asFrozen } from '@/core/ledger/asFrozen';
import type { Container } from '@/core/packaging/container';
import type { KitchenZone, LyingPackage } from '@/core/placement/lyingPackage';
import type { PlacedFood } from '@/core/placement/placing';
import { FAST_FREEZE_G_PER_L, FREEZE_IN_G_PER_L, spreadFreezing } from '@/core/portions/spreadFreezing';
import { sayAmount } from '@/core/units/sayAmount';
import { readContainers } from '@/store/containers';
import { sql } from '@/store/database';
import { readHaulLines, readLatestHauls } from '@/store/hauls';
import { type HouseholdContext, viewContext } from './context';
import { type FreezeInView, readFrozenToday, toFreezeIn } from './freezeIn';
import { gramsIn, type HaulGroup, layoutOf, readGroups, somePacks, toPlacing } from './haulGroups';
import { readKitchenContents } from './kitchenContents';
import { solvePlacement } from './placement';

/** Where the packs of a part go, or why they have no place. */
export interface PlaceView {
  key: string;
  line: string;
  part: number;
  called: string;
  amount_words: string;
  packs: number;
  /** Of those that are packed and still on the counter. */
  packages: {
    id: string;
    version: number;
    code: string;
    /** Of one that waits for its day in the freezer: its label as it will be then. */
    label: LabelText | null;
  }[];
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

export interface HaulPlacesView {
  places: PlaceView[];
  freezing: FreezeInView[];
}

/** Packs that were given a place together, or none. */
interface Placed {
  group: HaulGroup;
  zone: KitchenZone | null;
  reasons: string[];
  refused: PlaceView['refused'];
}

/** A kitchen while a haul is placed into it: what is placed takes room, and is there for what comes after. */
class Placing {
  private readonly free: Map<string, number>;
  private readonly lying: PlacedFood[];

  constructor(
    readonly zones: readonly KitchenZone[],
    readonly contents: readonly LyingPackage[],
    readonly containers: readonly Container[],
  ) {
    this.free = new Map(zones.map(({ id, freeLitres }) => [id, freeLitres]));
    this.lying = contents.map(({ zone, food }) => ({ zone, food }));
  }

  private takes({ food }: HaulGroup): number {
    return this.contents.find((one) => one.food.id === food.id)?.takesPerWeek ?? 0;
  }

  private async solve(groups: readonly HaulGroup[], state: (group: HaulGroup) => 'chilled' | 'frozen') {
    const zones = this.zones.map((zone) => ({ ...zone, freeLitres: this.free.get(zone.id) ?? 0 }));
    const pins = new Map(
      groups.map((group) => {
        const zone = zones.find(({ id }) => id === group.part.zone);
        const fits = zone && (zone.cold === 'freezer') === (state(group) === 'frozen');
        return [group.key, fits ? zone.id : null];
      }),
    );
    const packages = groups.map((group) =>
      toPlacing(group, state(group), this.takes(group), this.containers),
    );
    const solved = await solvePlacement(zones, this.lying, packages, pins);
    for (const { package: found, zone } of solved.assignments) {
      this.free.set(zone.id, Math.max(0, (this.free.get(zone.id) ?? 0) - found.litres));
      this.lying.push({ zone: zone.id, food: found.food });
    }
    return solved;
  }

  private named(says: string): string {
    return this.zones.reduce((words, { id, name }) => words.replaceAll(id, name), says);
  }

  /** Places groups whole where they fit together, else pack by pack. */
  async place(
    groups: readonly HaulGroup[],
    state: (group: HaulGroup) => 'chilled' | 'frozen',
  ): Promise<Placed[]> {
    if (groups.length === 0) return [];
    const whole = await this.solve(groups, state);
    const byKey = new Map(groups.map((group) => [group.key, group]));
    const toPlaced = (
      group: HaulGroup | undefined,
      zone: KitchenZone | null,
      reasons: string[],
      refused: PlaceView['refused'],
    ): Placed[] => (group ? [{ group, zone, reasons, refused }] : []);
    const placed = whole.assignments.flatMap(({ package: found, zone, score }) =>
      toPlaced(byKey.get(found.id), this.zoneOf(zone.id), score.reasons, null),
    );
    const tooLarge = whole.refused.flatMap(({ package: found }) => {
      const group = byKey.get(found.id);
      return group && group.amounts.length > 1 ? [group] : [];
    });
    const singles = tooLarge.flatMap((group) =>
      group.names.flatMap((name) => somePacks(group, name, (one) => one === name) ?? []),
    );
    const split = singles.length > 0 ? await this.solve(singles, state) : null;
    const told = whole.refused.filter(({ package: found }) => !tooLarge.some(({ key }) => key === found.id));
    for (const { package: found, rule, says, helps } of [...told, ...(split?.refused ?? [])]) {
      const group = byKey.get(found.id) ?? singles.find(({ key }) => key === found.id);
      const refused = { rule, says: this.named(says), helps: helps.map((help) => this.named(help)) };
      placed.push(...toPlaced(group, null, [], refused));
    }
    for (const { package: found, zone, score } of split?.assignments ?? []) {
      placed.push(
        ...toPlaced(
          singles.find(({ key }) => key === found.id),
          this.zoneOf(zone.id),
          score.reasons,
          null,
        ),
      );
    }
    return joined(placed);
  }

  private zoneOf(id: string): KitchenZone | null {
    return this.zones.find((zone) => zone.id === id) ?? null;
  }
}

/** Packs of one part in one zone are one strip again. */
function joined(placed: readonly Placed[]): Placed[] {
  const strips = new Map<string, Placed>();
  for (const one of placed) {
    const { line, at } = one.group;
    const key = `${line.id}:${at}:${one.zone?.id ?? 'none'}`;
    const known = strips.get(key);
    strips.set(
      key,
      known
        ? {
            ...known,
            group: {
              ...known.group,
              amounts: [...known.group.amounts, ...one.group.amounts],
              names: [...known.group.names, ...one.group.names],
              packages: [...known.group.packages, ...one.group.packages],
            },
          }
        : { ...one, group: { ...one.group, key } },
    );
  }
  return [...strips.values()];
}

/** "behind the 3 of 12 Aug": what of the same food lies there already. */
function behindOf(
  group: HaulGroup,
  zone: KitchenZone,
  lying: readonly LyingPackage[],
  today: string,
): string {
  const older = lying.filter((one) => one.zone === zone.id && one.food.id === group.food.id);
  const [first] = [...older].sort((a, b) => (a.startOn < b.startOn ? -1 : 1));
  if (!first) return '';
  const count = older.reduce((sum, { codes }) => sum + codes.length, 0);
  return `behind the ${count} of ${sayPastDate(first.startOn, today)}`;
}

function toPlace(
  { group, zone, reasons, refused }: Placed,
  day: number,
  lying: readonly LyingPackage[],
  { today, at, household }: HouseholdContext,
): PlaceView {
  const frozenOn = addDays(today, Math.max(0, day - 1));
  const turn = day === 2 ? 'tomorrow' : `on ${sayPlainDate(frozenOn)}`;
  const wait = day > 1 ? [`chilled until it is frozen ${turn}: the freezer takes no more before`] : [];
  return {
    key: `${group.key}:${day}`,
    line: group.line.id,
    part: group.at,
    called: group.line.called,
    amount_words: sayAmount(group.amounts[0] ?? 0, group.line.unit),
    packs: group.amounts.length,
    packages: group.packages.map((item) => ({
      id: item.id,
      version: item.version,
      code: item.code,
      label:
        day > 1
          ? labelText(asFrozen(item, group.food, frozenOn, at, household.settings.caution), group.food)
          : null,
    })),
    goes: group.part.goes,
    pinned: zone !== null && group.part.zone === zone.id,
    day,
    zone: zone && {
      id: zone.id,
      name: zone.name,
      appliance: zone.applianceName,
      appliance_id: zone.appliance,
    },
    reasons: [...wait, ...reasons],
    behind: zone ? behindOf(group, zone, lying, today) : '',
    refused,
  };
}

/** A pack as the freeze-in limit sees it. */
function toFreeze({ group }: Placed, name: string, at: number, containers: readonly Container[]) {
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

/** Litres of food to grams, about: what lies frozen and shares its cold. */
const G_PER_LITRE = 700;

/** The bench's right side: a place for every pack of the open haul, and which day what may be frozen. */
export async function readHaulPlaces(): Promise<HaulPlacesView> {
  const context = await viewContext();
  const { household, kitchen } = context;
  const [haul] = (await readLatestHauls(sql(), household.id, 1)).filter(({ closedAt }) => closedAt === null);
  if (!haul) return { places: [], freezing: [] };
  const [lines, containers, contents, frozenToday] = await Promise.all([
    readHaulLines(sql(), household.id, haul.id),
    readContainers(sql(), household.id),
    readKitchenContents(context),
    readFrozenToday(context),
  ]);
  const groups = await readGroups(context, lines);
  const placing = new Placing(
    contents.zones.filter(({ keptEmpty }) => !keptEmpty),
    contents.lying,
    containers,
  );
  const cold = groups.filter(({ part }) => part.goes !== 'room');
  const placed = await placing.place(cold, ({ part }) => (part.goes === 'freezer' ? 'frozen' : 'chilled'));
  const frozen = placed.filter(({ group, zone }) => group.part.goes === 'freezer' && zone !== null);

  const dayOf = new Map<string, number>();
  const groupOf = new Map(frozen.flatMap(({ group }) => group.names.map((name) => [name, group])));
  const freezing = kitchen.compartments
    .filter((one) => one.cold === 'freezer')
    .map((compartment) => {
      const packs = frozen
        .filter(({ zone }) => zone?.compartment === compartment.id)
        .flatMap((one) => one.group.names.map((name, at) => toFreeze(one, name, at, containers)));
      const rate = haul.fastFreeze ? FAST_FREEZE_G_PER_L : FREEZE_IN_G_PER_L;
      const limit = Math.max(1, Math.floor(rate * compartment.litres));
      const todayG = frozenToday.get(compartment.id) ?? 0;
      const { days, warnings } = spreadFreezing(packs, limit, todayG);
      for (const { day, ids } of days) for (const id of ids) dayOf.set(id, day);
      const there = contents.lying.filter(
        ({ zone }) => contents.zones.find(({ id }) => id === zone)?.compartment === compartment.id,
      );
      const thereG = there.reduce((sum, { litres }) => sum + litres * G_PER_LITRE, 0);
      const says = warnings.map((warning) => warning.says);
      return toFreezeIn(compartment, limit, todayG, days, says, groupOf, thereG);
    });

  const now = placed.flatMap((one): PlaceView[] => {
    if (one.group.part.goes !== 'freezer') return [toPlace(one, 0, contents.lying, context)];
    const first = somePacks(one.group, one.group.key, (name) => (dayOf.get(name) ?? 1) === 1);
    return first ? [toPlace({ ...one, group: first }, 1, contents.lying, context)] : [];
  });
  const days = [...new Set(dayOf.values())].filter((day) => day > 1).sort((a, b) => a - b);
  const waits = days.flatMap((day) =>
    frozen.flatMap(({ group }) => {
      const some = somePacks(group, `${group.key}:${day}`, (name) => dayOf.get(name) === day);
      return some ? [{ day, group: some }] : [];
    }),
  );
  const later: PlaceView[] = [];
  for (const day of days) {
    const some = waits.filter((one) => one.day === day).map(({ group }) => group);
    for (const one of await placing.place(some, () => 'chilled')) {
      later.push(toPlace(one, day, contents.lying, context));
    }
  }
  const out = groups
    .filter(({ part }) => part.goes === 'room')
    .map((group) => toPlace({ group, zone: null, reasons: [], refused: null }, 0, contents.lying, context));
  return { places: [...now, ...later, ...out], freezing };
}
