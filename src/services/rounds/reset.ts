import { daysBetween } from '@/core/calendar/calendarDate';
import { dateInZone } from '@/core/calendar/dateInZone';
import { sayPastDate } from '@/core/calendar/sayDate';
import { minutesBetween } from '@/core/keeping/counterMinutes';
import type { Reset } from '@/core/model/round';
import type { Package } from '@/core/model/package';
import { packedLitres } from '@/core/packaging/packedLitres';
import { rankZones } from '@/core/placement/rankZones';
import { type ResetOutcome, resetOutcome } from '@/core/rounds/resetOutcome';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { readPackages } from '@/store/packages';
import { viewContext } from '../household/context';
import { keptSince } from '../household/kept';
import { isClosed, readKitchenContents } from '../kitchen/kitchenContents';
import { type PackageView, type PlaceView, toPackageView, toPlace } from '../stock/packageView';
import { readStockRows } from '../stock/stockRows';

/** One thing that came out, as it is now. */
export interface ResetThing {
  view: PackageView;
  /** Still on the counter, back in the cold, or gone. */
  where: 'out' | 'back' | 'gone';
  from: PlaceView | null;
  /** A better place than it came from; `null`: it lay well. */
  better: PlaceView | null;
}

export interface ResetView {
  now: string;
  reset: (Pick<Reset, 'id' | 'called' | 'wiped' | 'zones'> & { minutes: number }) | null;
  things: ResetThing[];
  outcome: ResetOutcome | null;
  zones: { id: string; name: string; appliance: string; packages: number }[];
  past: { id: string; on: string; words: string }[];
}

const MOST_PAST = 5;
/** Less than this no better place is told: it is not worth a second thought. */
const WORTH_POINTS = 15;

/** A reset that is going on with everything that came out, or the zones one may begin with. */
export async function readReset(): Promise<ResetView> {
  const context = await viewContext();
  const { household, kitchen, reference, today, at: now } = context;
  const [kept, rows] = await Promise.all([
    keptSince(household, 'resets', () => readKept(sql(), household.id, ['reset'])),
    readStockRows(household, today),
  ]);
  const resets = [...kept.reset.values()].sort((a, b) => (a.begun < b.begun ? 1 : -1));
  const open = resets.find(({ ended }) => ended === null) ?? null;
  const counts = new Map<string, number>();
  for (const { zoneId } of rows) if (zoneId) counts.set(zoneId, (counts.get(zoneId) ?? 0) + 1);
  const packages = open
    ? await readPackages(
        sql(),
        household.id,
        open.out.map((one) => one.package),
      )
    : new Map<string, Package>();
  const contents = open ? await readKitchenContents(context) : { zones: [], lying: [] };
  const placeOf = new Map(kitchen.zones.map((zone) => [zone.id, toPlace(zone)]));
  const litresOf = (found: Package): number =>
    packedLitres(found, reference.byId.get(found.foodId)?.densityKgPerL ?? 1);
  const betterFor = (found: Package, from: string): PlaceView | null => {
    const food = reference.byId.get(found.foodId);
    if (!food || found.gone !== null || found.zoneId !== null) return null;
    const state = found.state === 'frozen' ? ('frozen' as const) : ('chilled' as const);
    const ranked = rankZones(
      {
        id: found.id,
        food,
        closed: isClosed(found, food),
        state,
        litres: litresOf(found),
        rigidMm: null,
        daysLeft: daysBetween(today, found.governingDate),
        takesPerWeek: 0,
      },
      contents.zones,
      contents.lying,
    );
    const [best] = ranked;
    const old = ranked.find(({ zone }) => zone.id === from);
    if (!best || best.fault !== null || best.zone.id === from) return null;
    const gain = old && old.fault === null ? best.points - old.points : Infinity;
    return gain >= WORTH_POINTS ? (placeOf.get(best.zone.id) ?? null) : null;
  };
  const things = (open?.out ?? []).flatMap((one): ResetThing[] => {
    const found = packages.get(one.package);
    if (!found) return [];
    return [
      {
        view: toPackageView(found, context),
        where: found.gone !== null ? 'gone' : found.zoneId === null ? 'out' : 'back',
        from: placeOf.get(one.zone) ?? null,
        better: betterFor(found, one.zone),
      },
    ];
  });
  return {
    now,
    reset: open && {
      ...{ id: open.id, called: open.called, wiped: open.wiped, zones: open.zones },
      minutes: minutesBetween(open.begun, now),
    },
    things: things.sort((a, b) => (a.view.minutes_left ?? 9999) - (b.view.minutes_left ?? 9999)),
    outcome: open && resetOutcome(open, packages, rows, litresOf),
    zones: kitchen.zones
      .filter(({ id }) => (counts.get(id) ?? 0) > 0)
      .map((zone) => ({
        ...{ id: zone.id, name: zone.name, appliance: zone.applianceName },
        packages: counts.get(zone.id) ?? 0,
      })),
    past: resets
      .filter(({ ended }) => ended !== null)
      .slice(0, MOST_PAST)
      .map((one) => ({
        ...{ id: one.id, on: sayPastDate(dateInZone(one.begun, household.timeZone), today) },
        words: `${one.called}: ${one.out.length} things, ${minutesBetween(one.begun, one.ended ?? one.begun)} min${one.wiped ? ', wiped' : ''}`,
      })),
  };
}
