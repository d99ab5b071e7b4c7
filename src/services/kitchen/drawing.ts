import { type Band, bandOn } from '@/core/keeping/judgeKeeping';
import type { PackageState } from '@/core/model/history';
import { placedBox } from '@/core/kitchen/boxes';
import type { ApplianceShape, Box, Cold, Side, ZoneKind } from '@/core/model/drawing';
import { sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { type DrawnPackage, readDrawn, readFills } from '@/store/today';
import type { HouseholdContext } from '../household/context';

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
  compartment_id: string;
  parent_id: string | null;
  name: string;
  purpose: string;
  kind: ZoneKind;
  side: Side;
  /** From the left, the top and the front of its compartment or door, mm. */
  box: Box;
  litres: number;
  /** Litres it shall hold at most, on purpose. */
  limit_litres: number | null;
  temperature_c: number;
  kept_empty: boolean;
  hard_to_reach: boolean;
  lifts: number;
  /** Share of its litres, or of its limit, that is filled, 0 to 1. */
  fill: number;
  packages: number;
  strips: StripView[];
  /** Packages that no strip shows. */
  more: number;
}

/** One cold room of an appliance. */
export interface CompartmentView {
  id: string;
  name: string;
  /** With the appliance's name, for lists. */
  called: string;
  cold: Cold;
  box: Box;
  door_mm: number;
  temperature_c: number;
  fill: number;
  free_litres: number;
}

export interface ApplianceView {
  id: string;
  name: string;
  room: string;
  shape: ApplianceShape;
  fill: number;
  free_litres: number;
  /** The most that must be lifted out to reach a zone of it. */
  lifts: number;
  compartments: CompartmentView[];
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
  const zones = kitchen.zones.map((zone) => {
    const inside = drawn.filter(({ zoneId }) => zoneId === zone.id);
    const { packages, litres } = fills.get(zone.id) ?? { packages: 0, litres: 0 };
    const view: ZoneView = {
      id: zone.id,
      compartment_id: zone.compartmentId,
      parent_id: zone.parentId,
      name: zone.name,
      purpose: zone.purpose,
      kind: zone.kind,
      side: zone.side,
      box: placedBox(zone, kitchen.zones),
      litres: zone.litres,
      limit_litres: zone.limitLitres,
      temperature_c: zone.temperatureC,
      kept_empty: zone.keptEmpty,
      hard_to_reach: zone.hardToReach,
      lifts: zone.lifts,
      fill: Math.min(1, litres / Math.min(zone.litres, zone.limitLitres ?? Infinity)),
      packages,
      strips: toStrips(inside, today),
      more: Math.max(0, packages - inside.length),
    };
    return {
      view,
      applianceId: zone.applianceId,
      litres: zone.litres,
      filled: Math.min(litres, zone.litres),
    };
  });
  const fillOf = (mine: typeof zones): { fill: number; free_litres: number } => {
    const litres = mine.reduce((sum, one) => sum + one.litres, 0);
    const filled = mine.reduce((sum, one) => sum + one.filled, 0);
    return {
      fill: litres === 0 ? 0 : filled / litres,
      free_litres: Math.max(0, Math.round(litres - filled)),
    };
  };
  return kitchen.appliances.map(({ id, name, room, shape }): ApplianceView => {
    const mine = zones.filter(({ applianceId }) => applianceId === id);
    return {
      id,
      name,
      room,
      shape,
      ...fillOf(mine),
      lifts: Math.max(0, ...mine.map(({ view }) => view.lifts)),
      compartments: kitchen.compartments
        .filter(({ applianceId }) => applianceId === id)
        .map((inside) => ({
          id: inside.id,
          name: inside.name,
          called: inside.called,
          cold: inside.cold,
          box: { ...boxOf(inside), zMm: 0 },
          door_mm: inside.doorMm,
          temperature_c: inside.temperatureC,
          ...fillOf(mine.filter(({ view }) => view.compartment_id === inside.id)),
        })),
      zones: mine.map(({ view }) => view),
    };
  });
}

const boxOf = ({ xMm, yMm, widthMm, heightMm, depthMm }: Omit<Box, 'zMm'>) => ({
  xMm,
  yMm,
  widthMm,
  heightMm,
  depthMm,
});
