import { addDays, daysBetween } from '@/core/calendar/calendarDate';
import { sayDueDate } from '@/core/calendar/sayDate';
import { freezeUntil } from '@/core/firstout/askOn';
import { promisesOf } from '@/core/firstout/promised';
import { asEdible, type Eatable, mayOffer } from '@/core/keeping/mayEat';
import { isStart } from '@/core/keeping/startDates';
import { isHandsOff } from '@/core/ledger/package/kept';
import { composts } from '@/core/leaving/composts';
import type { RoomDeed } from '@/core/leaving/makeRoom';
import { type MayGive, mayGive } from '@/core/leaving/mayGive';
import { routesFor } from '@/core/meals/routesFor';
import type { Food } from '@/core/model/food';
import type { Package } from '@/core/model/package';
import { packedLitres } from '@/core/packaging/packedLitres';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { readPackages } from '@/store/packages';
import { readFills } from '@/store/today';
import { type HouseholdContext, viewContext } from '../household/context';
import { keptSince } from '../household/kept';
import { readStockRows } from '../stock/stockRows';

/** A package that might leave, or make room. */
export interface LeavingThing {
  package: string;
  code: string;
  version: number;
  called: string;
  amount_words: string;
  place: string;
  due_words: string;
  /** Minor units; `null`: nobody told. */
  price_minor: number | null;
}

export interface LeavingView {
  today: string;
  currency: string;
  /** What could be given away in time. */
  give: (LeavingThing & MayGive & { alike: number })[];
  /** What the compost takes: plants past their best. */
  compost: LeavingThing[];
  /** What turns: ways for it, and until when freezing still makes sense. */
  turning: (LeavingThing & { found: boolean; routes: string[]; freeze_until: string })[];
  room: {
    id: string;
    name: string;
    appliance: string;
    cold: 'fridge' | 'freezer';
    free_l: number;
    litres: number;
  }[];
  /** What could make room, by what it is done to. */
  deeds: (RoomDeed & { cold: 'fridge' | 'freezer'; thing: LeavingThing })[];
}

const SOON_DAYS = { chilled: 7, frozen: 14 } as const;
const TURNING_DAYS = 2;
const EAT_DAYS = 3;
const MOST = 60;
/** A fridge needs air between things (A7). */
const FRIDGE_SHARE = 0.8;

const stateOf = ({ state }: Pick<Package, 'state'>): keyof typeof SOON_DAYS =>
  state === 'frozen' ? 'frozen' : 'chilled';

/** What could be done to a package for room; a package may stand in several lines. */
function deedsFor(found: Package, food: Food, today: string, may: Eatable): Omit<RoomDeed, 'package'>[] {
  const litres = packedLitres(found, food.densityKgPerL);
  const daysLeft = Math.max(0, daysBetween(today, found.governingDate));
  if (may === 'discard') return [{ deed: 'bin', litres, daysLeft: 0 }];
  const deeds: Omit<RoomDeed, 'package'>[] = [];
  if (may === 'ask') return deeds;
  if (
    (food.home === 'cupboard' || food.home === 'counter') &&
    found.state === 'chilled' &&
    found.openedOn === null
  )
    deeds.push({ deed: 'out', litres, daysLeft });
  const flat = packedLitres({ ...found, form: 'flat', wrap: 'zip-bag' }, food.densityKgPerL);
  if ((found.wrap === 'carton' || found.wrap === 'shop-tray') && found.form !== 'flat' && found.unit === 'g')
    deeds.push({ deed: 'repack', litres: litres - flat, daysLeft });
  if (daysLeft <= EAT_DAYS) deeds.push({ deed: 'eat', litres, daysLeft });
  return deeds;
}

/** What may leave the house in time, what turns and what for, and how much room there is for a shop. */
export async function readLeaving(): Promise<LeavingView> {
  const context = await viewContext();
  const { household, kitchen, reference, today } = context;
  const rows = await readStockRows(household, today);
  const ends = (state: keyof typeof SOON_DAYS): string => addDays(today, SOON_DAYS[state]);
  const near = rows
    .filter(
      (row) => row.governingDate <= ends(stateOf(row)) || row.wrap === 'carton' || row.state === 'chilled',
    )
    .slice(0, 1000);
  const [packages, fills, kept] = await Promise.all([
    readPackages(
      sql(),
      household.id,
      near.map(({ id }) => id),
    ),
    readFills(sql(), household.id),
    keptSince(household, 'rounds', () => readKept(sql(), household.id, ['round', 'looked', 'round-rhythm'])),
  ]);
  const found = near.flatMap(({ id }) => packages.get(id) ?? []).filter(({ gone }) => gone === null);
  const foodOf = (one: Package): Food | undefined => reference.byId.get(one.foodId);
  const thing = (one: Package): LeavingThing => toLeaving(one, context);
  const mayOf = (one: Package): Eatable => context.mayEat(asEdible(one)).may;
  const free = found.filter((one) => !isHandsOff(one, today) && promisesOf(one, today).length === 0);
  const turned = (one: Package): boolean => kept.looked.get(one.id)?.finding === 'turning';
  const colds = new Map(kitchen.zones.map((zone) => [zone.id, zone.cold]));
  return {
    today,
    currency: household.settings.currency,
    give: together(
      free.flatMap((one) => {
        const food = foodOf(one);
        const did = one.history[0]?.did;
        if (!food || !did || !isStart(did) || one.governingDate > ends(stateOf(one))) return [];
        const may = mayGive({ ...one, did }, food, today, mayOf(one) === 'eat');
        return may && one.zoneId !== null ? [{ ...thing(one), ...may }] : [];
      }),
    ).slice(0, MOST),
    compost: free
      .filter((one) => {
        const food = foodOf(one);
        return (
          food !== undefined &&
          composts(food) &&
          (one.governingDate < today || mayOf(one) === 'discard' || turned(one))
        );
      })
      .map(thing)
      .slice(0, MOST),
    turning: free
      .filter((one) => {
        const sound = mayOffer({ may: mayOf(one) });
        const soon = stateOf(one) === 'chilled' && one.governingDate <= addDays(today, TURNING_DAYS);
        return sound && (turned(one) || soon);
      })
      .map((one) => {
        const food = foodOf(one);
        const last = food?.freezeFit === 'no' ? null : freezeUntil(one, today);
        return {
          ...thing(one),
          found: turned(one),
          routes: routesFor([food?.group ?? ''])
            .map(({ name }) => name)
            .slice(0, 4),
          freeze_until: last === null ? '' : sayDueDate(last, today),
        };
      })
      .slice(0, MOST),
    room: kitchen.zones.map((zone) => {
      const most = Math.min(
        zone.litres * (zone.cold === 'fridge' ? FRIDGE_SHARE : 1),
        zone.limitLitres ?? Infinity,
      );
      const free_l = Math.max(0, Math.round((most - (fills.get(zone.id)?.litres ?? 0)) * 10) / 10);
      return {
        ...{ id: zone.id, name: zone.name, appliance: zone.applianceName, cold: zone.cold },
        ...{ free_l: zone.keptEmpty ? 0 : free_l, litres: Math.round(zone.litres * 10) / 10 },
      };
    }),
    deeds: found.flatMap((one) => {
      const food = foodOf(one);
      const cold = colds.get(one.zoneId ?? '');
      if (!food || !cold) return [];
      return deedsFor(one, food, today, mayOf(one)).map((deed) => ({
        ...deed,
        package: one.id,
        cold,
        thing: thing(one),
      }));
    }),
  };
}

/** Packs alike with one date are one line, with how many they are. */
function together(things: readonly (LeavingThing & MayGive)[]): LeavingView['give'] {
  const lines = new Map<string, LeavingView['give'][number]>();
  for (const one of things) {
    const key = [one.called, one.amount_words, one.until, one.why, one.place].join('|');
    const known = lines.get(key);
    if (known) {
      known.alike++;
      known.price_minor = known.price_minor === null ? null : known.price_minor + (one.price_minor ?? 0);
    } else lines.set(key, { ...one, alike: 1 });
  }
  return [...lines.values()];
}

function toLeaving(one: Package, { kitchen, today }: HouseholdContext): LeavingThing {
  const zone = kitchen.zones.find(({ id }) => id === one.zoneId);
  return {
    ...{ package: one.id, code: one.code, version: one.version, called: one.called },
    amount_words: sayAmount(one.amount, one.unit),
    place: zone ? `${zone.name}, ${zone.applianceName}` : 'on the counter',
    due_words: sayDueDate(one.governingDate, today),
    price_minor: one.priceMinor,
  };
}
