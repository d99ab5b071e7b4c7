import { addDays } from '@/core/calendar/calendarDate';
import { sayPastDate, sayPlainDate } from '@/core/calendar/sayDate';
import type { Goal } from '@/core/model/haul';
import { type LabelText, labelText } from '@/core/labels/labelText';
import { asFrozen } from '@/core/ledger/package/asFrozen';
import type { KitchenZone, LyingPackage } from '@/core/placement/lyingPackage';
import { rankZones } from '@/core/placement/rankZones';
import { FAST_FREEZE_G_PER_L, FREEZE_IN_G_PER_L, spreadFreezing } from '@/core/portions/spreadFreezing';
import { sayAmount } from '@/core/units/sayAmount';
import { readContainers } from '@/store/containers';
import { sql } from '@/store/database';
import { readHaulLines, readOpenHaul } from '@/store/hauls';
import { freezerCold } from './freezerCold';
import { type HouseholdContext, viewContext } from '../household/context';
import { frozenLoad, packsIn, shareFreezers } from './shareFreezers';
import { type FreezeInView, readFrozenToday, toFreezeIn } from './freezeIn';
import { type HaulGroup, readGroups, somePacks, toPlacing } from './haulGroups';
import { asTold, toldDay } from './haulPlan';
import { type Placed, Placing } from './haulPlacing';
import { type KitchenContents, readKitchenContents } from '../kitchen/kitchenContents';

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
  /** What would be proposed now, if that is not what was told; empty: it is. */
  changed: string;
  /** What speaks hard against other zones of its cold, by zone. */
  against: Readonly<Record<string, string>>;
}

export interface HaulPlacesView {
  places: PlaceView[];
  freezing: FreezeInView[];
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

/** What speaks hard against zones of the cold it goes to; room is not asked, since the cook sees it. */
function againstOf(
  group: HaulGroup,
  goes: Goal,
  zones: readonly KitchenZone[],
  lying: readonly LyingPackage[],
): Record<string, string> {
  if (goes === 'room') return {};
  const found = {
    ...toPlacing(group, goes === 'freezer' ? 'frozen' : 'chilled', 0, []),
    litres: 0,
    rigidMm: null,
  };
  const cold = goes === 'freezer' ? 'freezer' : 'fridge';
  const ranked = rankZones(
    found,
    zones.filter((zone) => zone.cold === cold),
    lying,
  );
  return Object.fromEntries(ranked.flatMap(({ zone, fault }) => (fault ? [[zone.id, fault.says]] : [])));
}

function toPlace(
  { group, zone, reasons, refused, changed = '' }: Placed,
  day: number,
  { lying, zones }: Pick<KitchenContents, 'lying' | 'zones'>,
  { today, household, kitchen }: HouseholdContext,
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
          ? labelText(
              asFrozen(item, group.food, frozenOn, household.settings.caution, freezerCold(kitchen)),
              group.food,
              household.settings,
            )
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
    changed,
    against: againstOf(group, day > 1 ? 'fridge' : group.part.goes, zones, lying),
  };
}

/** Litres of food to grams, about: what lies frozen and shares its cold. */
const G_PER_LITRE = 700;

/** The bench's right side: a place for every pack of the open haul, and which day what may be frozen. */
export async function readHaulPlaces(): Promise<HaulPlacesView> {
  const context = await viewContext();
  const { household, kitchen } = context;
  const haul = await readOpenHaul(sql(), household.id);
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
  const rate = haul.fastFreeze ? FAST_FREEZE_G_PER_L : FREEZE_IN_G_PER_L;
  const freezers = kitchen.compartments
    .filter((one) => one.cold === 'freezer')
    .map((one) => ({
      ...one,
      limitG: Math.max(1, Math.floor(rate * one.litres)),
      todayG: frozenToday.get(one.id) ?? 0,
    }));
  const first = await placing.place(cold, ({ part }) => (part.goes === 'freezer' ? 'frozen' : 'chilled'));
  const shared = await shareFreezers(placing, first, freezers);
  const placed = asTold(shared, haul.plan ?? {}, contents.zones);
  const frozen = placed.filter(({ group, zone }) => group.part.goes === 'freezer' && zone !== null);

  const dayOf = new Map<string, number>();
  const groupOf = new Map(frozen.flatMap(({ group }) => group.names.map((name) => [name, group])));
  const freezing = freezers.map((freezer) => {
    const { id, limitG } = freezer;
    const todayG = freezer.todayG + frozenLoad(placed, id);
    const { days, warnings } = spreadFreezing(packsIn(placed, id, containers), limitG, todayG);
    for (const { day, ids } of days) {
      for (const name of ids) dayOf.set(name, toldDay(name, groupOf, haul.plan ?? {}) ?? day);
    }
    const there = contents.lying.filter(
      ({ zone }) => contents.zones.find((one) => one.id === zone)?.compartment === id,
    );
    const thereG = there.reduce((sum, { litres }) => sum + litres * G_PER_LITRE, 0);
    const says = warnings.map((warning) => warning.says);
    return toFreezeIn(freezer, limitG, todayG, days, says, groupOf, thereG);
  });

  const now = placed.flatMap((one): PlaceView[] => {
    if (one.group.part.goes !== 'freezer') return [toPlace(one, 0, contents, context)];
    const atOnce = somePacks(one.group, one.group.key, (name) => (dayOf.get(name) ?? 1) === 1);
    return atOnce ? [toPlace({ ...one, group: atOnce }, 1, contents, context)] : [];
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
    const waiting = await placing.place(some, () => 'chilled');
    for (const one of asTold(waiting, haul.plan ?? {}, contents.zones, true)) {
      later.push(toPlace(one, day, contents, context));
    }
  }
  const out = groups
    .filter(({ part }) => part.goes === 'room')
    .map((group) => toPlace({ group, zone: null, reasons: [], refused: null }, 0, contents, context));
  return { places: [...now, ...later, ...out], freezing };
}
