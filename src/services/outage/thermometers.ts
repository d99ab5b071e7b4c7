import { addDays, daysBetween } from '@/core/calendar/calendarDate';
import { type Alarm, logSubject, USUAL_ALARM } from '@/core/model/thermometer';
import { readingsOfDay } from '@/core/powercut/logReadings';
import type { Cut, Reading } from '@/core/model/cut';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { now } from '../door/clock';
import { viewContext } from '../household/context';
import { type DeskPart, readDeskParts } from './deskParts';

const DAY_MS = 86_400_000;
/** A thermometer that was not heard of for longer is told to be silent. */
const SILENT_MS = 12 * 3_600_000;
/** A day so much warmer than its zones are kept at is told: dates count on what is kept (K9). */
const WARMER_K = 0.7;
const LOW_BATTERY = 0.15;
/** A curve of more points is no clearer. */
const MOST_POINTS = 600;

/** One compartment with its thermometer. */
export interface ThermometerView extends Pick<
  DeskPart,
  'id' | 'called' | 'kind' | 'forecast' | 'litres' | 'fill'
> {
  /** What is kept of its zones, °C: as set or measured. */
  kept_c: number;
  alarm: { above_c: number; minutes: number; begins: boolean };
  /** ISO 8601 UTC; `null`: nothing was read yet. */
  heard_at: string | null;
  last_c: number | null;
  silent: boolean;
  battery: number | null;
  battery_low: boolean;
  warm_since: string | null;
  /** The last day (24 h) that was heard of; `null`: nothing of it. */
  day: { mean_c: number; least_c: number; most_c: number; readings: number } | null;
  /** Its zones as they would be kept if they are as warm as that day was; empty: they are kept so, or warmer. */
  warmer: { zone: string; celsius: number }[];
  /** The curve that is asked for, in order of time. */
  log: Reading[];
}

export interface ThermometersView {
  now: string;
  time_zone: string;
  days: number;
  parts: ThermometerView[];
  cuts: Pick<Cut, 'id' | 'from' | 'until'>[];
}

/** Extremes of even stretches: a curve with no more points than can be seen, and no peak lost. */
function thinned(log: readonly Reading[]): Reading[] {
  if (log.length <= MOST_POINTS) return [...log];
  const size = Math.ceil((log.length * 2) / MOST_POINTS);
  return Array.from({ length: Math.ceil(log.length / size) }, (_, nth) => {
    const its = log.slice(nth * size, (nth + 1) * size);
    const most = its.reduce((a, b) => (b.c > a.c ? b : a));
    const least = its.reduce((a, b) => (b.c < a.c ? b : a));
    return most.at === least.at ? [most] : most.at < least.at ? [most, least] : [least, most];
  }).flat();
}

const lastDays = (many: number, instant: string): string[] =>
  Array.from({ length: many + 1 }, (_, at) => addDays(instant.slice(0, 10), at - many));

function dayOf(log: readonly Reading[], instant: string): ThermometerView['day'] {
  const its = log.filter(({ at }) => Date.parse(instant) - Date.parse(at) <= DAY_MS);
  if (its.length === 0) return null;
  const figures = its.map(({ c }) => c);
  const mean = figures.reduce((sum, c) => sum + c, 0) / its.length;
  return {
    mean_c: Math.round(mean * 10) / 10,
    least_c: Math.min(...figures),
    most_c: Math.max(...figures),
    readings: its.length,
  };
}

/** Every compartment with its thermometer: how it is, whether it calls, and its log of the last days. */
export async function readThermometers({ days = 2 }: { days?: number }): Promise<ThermometersView> {
  const context = await viewContext();
  const { household, kitchen } = context;
  const instant = now();
  const parts = await readDeskParts(context);
  const wanted = lastDays(days, instant);
  const kept = await readKept(sql(), household.id, ['thermometer', 'cut'], {
    'log-day': parts.flatMap(({ id }) => wanted.map((day) => logSubject(id, day))),
  });
  const since = new Date(Date.parse(instant) - days * DAY_MS).toISOString();
  const logOf = (part: string): Reading[] =>
    wanted
      .flatMap((day) => readingsOfDay(day, kept['log-day'].get(logSubject(part, day)) ?? []))
      .filter(({ at }) => at >= since);
  return {
    now: instant,
    time_zone: household.timeZone,
    days,
    cuts: [...kept.cut.values()].map(({ id, from, until }) => ({ id, from, until })),
    parts: parts.map(({ id, called, kind, forecast, litres, fill, temperature_c }): ThermometerView => {
      const its = kept.thermometer.get(id);
      const { aboveC, ...alarm }: Alarm = its?.alarm ?? USUAL_ALARM[kind];
      const heardAt = its?.heardAt ?? null;
      const log = logOf(id);
      const day = dayOf(log, heardAt ?? instant);
      const by = day === null ? 0 : day.mean_c - temperature_c;
      const zones = kitchen.zones.filter(({ compartmentId }) => compartmentId === id);
      return {
        ...{ id, called, kind, forecast, litres, fill, kept_c: temperature_c },
        alarm: { ...alarm, above_c: aboveC },
        heard_at: heardAt,
        last_c: its?.lastC ?? null,
        silent: heardAt !== null && Date.parse(instant) - Date.parse(heardAt) > SILENT_MS,
        battery: its?.battery ?? null,
        battery_low: its?.battery != null && its.battery < LOW_BATTERY,
        warm_since: its?.warmSince ?? null,
        day,
        warmer:
          by < WARMER_K
            ? []
            : zones.map((zone) => ({
                zone: zone.id,
                celsius: Math.round((zone.temperatureC + by) * 10) / 10,
              })),
        log: thinned(log),
      };
    }),
  };
}

/** A log as it was read, of some days, by compartment. */
export async function wholeLog(range: {
  from: string;
  to: string;
}): Promise<{ called: string; readings: Reading[] }[]> {
  const { household, kitchen } = await viewContext();
  const many = daysBetween(range.from, range.to) + 1;
  const wanted = Array.from({ length: Math.max(0, many) }, (_, at) => addDays(range.from, at));
  const subjects = kitchen.compartments.flatMap(({ id }) => wanted.map((day) => logSubject(id, day)));
  const logs = await readKept(sql(), household.id, [], { 'log-day': subjects });
  return kitchen.compartments.map(({ id, called }) => ({
    called,
    readings: wanted.flatMap((day) => readingsOfDay(day, logs['log-day'].get(logSubject(id, day)) ?? [])),
  }));
}
