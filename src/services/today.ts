import { sayFullDate } from '@/core/calendar/sayDate';
import { counterMinutesLeft } from '@/core/keeping/counterMinutes';
import { packedLitres } from '@/core/packaging/packedLitres';
import { sql } from '@/store/database';
import type { ApplianceRecord, ZoneRecord } from '@/store/kitchens';
import { readFirstOut } from '@/store/packages';
import { now } from './clock';
import { viewContext } from './context';
import { type PackageView, toPackageView } from './packageView';

/** Packages of one food in one zone that stand alike: one strip. */
export interface StripView {
  food: string;
  count: number;
  amount_words: string;
  band: PackageView['band'];
  state: PackageView['state'];
  first: { id: string; code: string; version: number };
  codes: string[];
}

export interface ZoneView {
  id: string;
  name: string;
  purpose: string;
  kind: ZoneRecord['kind'];
  side: ZoneRecord['side'];
  litres: number;
  temperature_c: number;
  /** Share of its litres that is filled, 0 to 1. */
  fill: number;
  strips: StripView[];
}

export interface ApplianceView {
  id: string;
  name: string;
  room: string;
  shape: ApplianceRecord['shape'];
  cold: ApplianceRecord['cold'];
  temperature_c: number;
  litres: number;
  fill: number;
  free_litres: number;
  zones: ZoneView[];
}

export interface CounterItem extends Pick<
  PackageView,
  'id' | 'code' | 'version' | 'amount_words' | 'controlled' | 'state'
> {
  food: string;
  /** Safe minutes that are left; `null` for food that may stand out. */
  minutes_left: number | null;
}

/** Packages alike in food, date, place and amount: one row of first out. */
export interface FirstOutRow {
  view: PackageView;
  count: number;
}

export interface TodayView {
  household: string;
  today: string;
  today_words: string;
  summary: string;
  first_out: FirstOutRow[];
  settled: number;
  total: number;
  appliances: ApplianceView[];
  counter: CounterItem[];
}

function toStrips(views: readonly PackageView[]): StripView[] {
  const strips = new Map<string, StripView>();
  for (const view of views) {
    const key = `${view.food.name}|${view.state}|${view.band}|${view.amount_words}`;
    const strip = strips.get(key);
    if (strip) {
      strip.count += 1;
      strip.codes.push(view.code);
    } else {
      strips.set(key, {
        food: view.food.name,
        count: 1,
        amount_words: view.amount_words,
        band: view.band,
        state: view.state,
        first: { id: view.id, code: view.code, version: view.version },
        codes: [view.code],
      });
    }
  }
  return [...strips.values()];
}

function toRows(views: readonly PackageView[]): FirstOutRow[] {
  const rows = new Map<string, FirstOutRow>();
  for (const view of views) {
    const key = [
      view.food.name,
      view.governing.date,
      view.zone?.id,
      view.amount,
      view.state,
      view.opened,
    ].join('|');
    const row = rows.get(key);
    if (row) row.count += 1;
    else rows.set(key, { view, count: 1 });
  }
  return [...rows.values()];
}

/** What stands on the counter with its safe minutes (K10), the most pressing first. */
export function toCounter(views: readonly PackageView[], at: string): CounterItem[] {
  return views
    .filter((view) => view.counter_since !== null)
    .map((view): CounterItem => ({
      id: view.id,
      code: view.code,
      version: view.version,
      food: view.food.name,
      amount_words: view.amount_words,
      controlled: view.controlled,
      state: view.state,
      minutes_left: view.controlled ? counterMinutesLeft(view.counter_minutes, view.counter_since, at) : null,
    }))
    .sort((a, b) => (a.minutes_left ?? 9999) - (b.minutes_left ?? 9999));
}

function byZone(views: readonly PackageView[]): Map<string, PackageView[]> {
  const zones = new Map<string, PackageView[]>();
  for (const view of views) {
    if (!view.zone) continue;
    const inside = zones.get(view.zone.id);
    if (inside) inside.push(view);
    else zones.set(view.zone.id, [view]);
  }
  return zones;
}

function summaryOf(views: readonly PackageView[]): string {
  const out = views.filter(({ verdict }) => verdict === 'discard').length;
  const look = views.filter(({ verdict }) => verdict === 'look-first').length;
  const tonight = views.filter(({ band, verdict }) => verdict === 'eat' && band === 'today').length;
  const soon = views.filter(({ band, state }) => band === 'soon' && state !== 'frozen').length;
  const thawing = views.filter(({ state }) => state === 'thawing').length;
  const parts = [
    tonight > 0 ? `${tonight} to eat tonight` : '',
    soon > 0 ? `${soon} in the next three days` : '',
    look > 0 ? `${look} to look at first` : '',
    out > 0 ? `${out} to throw out` : '',
    thawing > 0 ? `${thawing} thawing` : '',
  ].filter((part) => part !== '');
  return parts.length === 0 ? 'Nothing presses. The oldest stands first all the same.' : parts.join(' · ');
}

const MOST_SHOWN = 5000;

/** Everything Today shows: first out, the drawn kitchen with its strips, the counter. */
export async function readToday(): Promise<TodayView> {
  const context = await viewContext();
  const { household, kitchen, reference, today } = context;
  const packages = await readFirstOut(sql(), household.id, MOST_SHOWN);
  const views = packages.map((found) => toPackageView(found, context));
  const densities = new Map(
    packages.map(({ id, foodId }) => [id, reference.byId.get(foodId)?.densityKgPerL ?? 1]),
  );
  const inZone = byZone(views);
  const appliances = kitchen.appliances.map((appliance): ApplianceView => {
    const zones = kitchen.zones
      .filter(({ applianceId }) => applianceId === appliance.id)
      .map((zone): ZoneView => {
        const inside = inZone.get(zone.id) ?? [];
        const litres = inside.reduce((sum, view) => sum + packedLitres(view, densities.get(view.id) ?? 1), 0);
        return {
          id: zone.id,
          name: zone.name,
          purpose: zone.purpose,
          kind: zone.kind,
          side: zone.side,
          litres: zone.litres,
          temperature_c: zone.temperatureC,
          fill: Math.min(1, litres / zone.litres),
          strips: toStrips(inside),
        };
      });
    const litres = zones.reduce((sum, zone) => sum + zone.litres, 0);
    const filled = zones.reduce((sum, zone) => sum + zone.litres * zone.fill, 0);
    const fill = litres === 0 ? 0 : filled / litres;
    return {
      id: appliance.id,
      name: appliance.name,
      room: appliance.room,
      shape: appliance.shape,
      cold: appliance.cold,
      temperature_c: appliance.temperatureC,
      litres: appliance.litres,
      fill,
      free_litres: Math.max(0, Math.round(litres - filled)),
      zones,
    };
  });
  const isOut = ({ band, verdict }: PackageView): boolean => band === 'past' || verdict === 'discard';
  const pressing = views
    .filter((view) => view.band !== 'settled' || isOut(view))
    .sort((a, b) => Number(isOut(b)) - Number(isOut(a)));
  return {
    household: household.name,
    today,
    today_words: sayFullDate(today),
    summary: summaryOf(views),
    first_out: toRows(pressing),
    settled: views.length - pressing.length,
    total: views.length,
    appliances,
    counter: toCounter(views, now()),
  };
}
