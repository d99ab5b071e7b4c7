import { type Band, bandOn } from '@/core/keeping/judgeKeeping';
import type { PackageState } from '@/core/keeping/history';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import type { ApplianceRecord, ZoneRecord } from '@/store/kitchens';
import { type DrawnPackage, readDrawn, readFills } from '@/store/today';
import type { HouseholdContext } from './context';

/** Packages of one food in one zone that stand alike: one strip. */
export interface StripView {
  food: string;
  count: number;
  amount_words: string;
  band: Band;
  state: PackageState;
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
  packages: number;
  strips: StripView[];
  /** Packages that no strip shows. */
  more: number;
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

/** The most packages read for one zone: what presses most lies first. */
const MOST_DRAWN = 16;

function toStrips(packages: readonly DrawnPackage[], today: string): StripView[] {
  const strips = new Map<string, StripView>();
  for (const { id, code, version, called, amount, unit, state, governingDate } of packages) {
    const band = bandOn(governingDate, state, today);
    const amountWords = sayAmount(amount, unit);
    const key = `${called}|${state}|${band}|${amountWords}`;
    const strip = strips.get(key);
    if (strip) {
      strip.count += 1;
      strip.codes.push(code);
    } else {
      strips.set(key, {
        food: called,
        count: 1,
        amount_words: amountWords,
        band,
        state,
        first: { id, code, version },
        codes: [code],
      });
    }
  }
  return [...strips.values()];
}

/** The drawn kitchen: every appliance with its zones, their fill, and what lies first in each. */
export async function readDrawing({ household, kitchen, today }: HouseholdContext): Promise<ApplianceView[]> {
  const [drawn, fills] = await Promise.all([
    readDrawn(
      sql(),
      household.id,
      kitchen.zones.map(({ id }) => id),
      MOST_DRAWN,
    ),
    readFills(sql(), household.id),
  ]);
  return kitchen.appliances.map((appliance): ApplianceView => {
    const zones = kitchen.zones
      .filter(({ applianceId }) => applianceId === appliance.id)
      .map((zone): ZoneView => {
        const inside = drawn.filter(({ zoneId }) => zoneId === zone.id);
        const { packages, litres } = fills.get(zone.id) ?? { packages: 0, litres: 0 };
        return {
          id: zone.id,
          name: zone.name,
          purpose: zone.purpose,
          kind: zone.kind,
          side: zone.side,
          litres: zone.litres,
          temperature_c: zone.temperatureC,
          fill: Math.min(1, litres / zone.litres),
          packages,
          strips: toStrips(inside, today),
          more: Math.max(0, packages - inside.length),
        };
      });
    const litres = zones.reduce((sum, zone) => sum + zone.litres, 0);
    const filled = zones.reduce((sum, zone) => sum + zone.litres * zone.fill, 0);
    return {
      id: appliance.id,
      name: appliance.name,
      room: appliance.room,
      shape: appliance.shape,
      cold: appliance.cold,
      temperature_c: appliance.temperatureC,
      litres: appliance.litres,
      fill: litres === 0 ? 0 : filled / litres,
      free_litres: Math.max(0, Math.round(litres - filled)),
      zones,
    };
  });
}
