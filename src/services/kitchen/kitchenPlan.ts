import { sayPastDate } from '@/core/calendar/sayDate';
import { dateInZone } from '@/core/calendar/dateInZone';
import { assumedCelsius } from '@/core/kitchen/assumedCelsius';
import type { ApplianceDrawing } from '@/core/model/drawing';
import { liftedFor, standBefore } from '@/core/kitchen/liftsTo';
import { publishedLimitHours } from '@/core/powercut/publishedLimit';
import { sql } from '@/store/database';
import { drawingOf } from '@/store/kitchens';
import { readFills, readMasses } from '@/store/today';
import { type HouseholdContext, viewContext } from '../household/context';

/** A zone with what is in it and how cold it is. */
export interface ZonePlan {
  id: string;
  name: string;
  purpose: string;
  compartment: string;
  cold: 'fridge' | 'freezer';
  /** "480 × 140 × 300 mm". */
  measures: string;
  litres: number;
  free_litres: number;
  grams: number;
  packages: number;
  /** Share of its litres, or of its limit, that is filled. */
  fill: number;
  celsius: number;
  /** Where the figure comes from. */
  celsius_says: string;
  /** A thermometer was read there; else the figure is assumed. */
  measured: boolean;
  warm: boolean;
  /** What the cook decided for it, in words. */
  told: string[];
  /** It holds what it shall hold at most. */
  full: boolean;
}

/** One compartment: how full, and what that means. */
export interface CompartmentPlan {
  id: string;
  called: string;
  cold: 'fridge' | 'freezer';
  litres: number;
  fill: number;
  says: string;
  /** A fridge above its air line. */
  tight: boolean;
}

export interface AppliancePlan {
  drawing: ApplianceDrawing;
  /** What a change of the drawing is told over. */
  version: number;
  compartments: CompartmentPlan[];
  zones: ZonePlan[];
  packages: number;
}

export interface KitchenPlan {
  household: string;
  appliances: AppliancePlan[];
  /** No freezer at all: nothing can be kept longer than the fridge keeps it. */
  no_freezer: boolean;
}

/** A fridge needs air: about 80 % full at most. */
const AIR_LINE = 0.8;
const WARM_FRIDGE_C = 4;
const WARM_FREEZER_C = -15;

function fillSays(cold: 'fridge' | 'freezer', fill: number): string {
  if (cold === 'fridge') {
    return fill > AIR_LINE
      ? 'fuller than 80 %: air no longer gets round'
      : `room for air; the line is at ${AIR_LINE * 100} %`;
  }
  const hours = Math.round(publishedLimitHours({ kind: 'freezer', fill, doors: 'shut' }));
  return hours === 0
    ? 'with nothing frozen in it, it holds no cold without power'
    : `without power and shut it holds about ${hours} h`;
}

function toldOf(zone: ApplianceDrawing['zones'][number], drawing: ApplianceDrawing): string[] {
  const names = (zones: readonly { name: string }[]): string => zones.map(({ name }) => name).join(', ');
  const lifted = liftedFor(zone, drawing);
  const before = standBefore(zone, drawing);
  return [
    zone.only.length > 0 ? `only ${zone.only.join(', ')}` : '',
    zone.never.length > 0 ? `never ${zone.never.join(', ')}` : '',
    zone.person === '' ? '' : `for ${zone.person}`,
    zone.limitLitres === null ? '' : `at most ${zone.limitLitres} litres`,
    zone.humidity === null ? '' : `${zone.humidity} humidity`,
    zone.leakproof ? 'leak-proof' : '',
    zone.hardToReach ? 'hard to reach' : '',
    zone.keptEmpty ? 'kept free' : '',
    lifted.length > 0 ? `${lifted.length} to lift out: ${names(lifted)}` : '',
    before.length > 0 ? `behind ${names(before)}` : '',
  ].filter((words) => words !== '');
}

async function readPlans(context: HouseholdContext): Promise<AppliancePlan[]> {
  const { household, kitchen, today } = context;
  const [fills, masses] = await Promise.all([
    readFills(sql(), household.id),
    readMasses(sql(), household.id),
  ]);
  return kitchen.appliances.flatMap(({ id, version }): AppliancePlan[] => {
    const drawing = drawingOf(kitchen, id);
    if (!drawing) return [];
    const mine = kitchen.zones.filter(({ applianceId }) => applianceId === id);
    const zones = mine.map((zone): ZonePlan => {
      const { litres, packages } = fills.get(zone.id) ?? { litres: 0, packages: 0 };
      const most = Math.min(zone.litres, zone.limitLitres ?? Infinity);
      const read = zone.measured && sayPastDate(dateInZone(zone.measured.at, household.timeZone), today);
      return {
        id: zone.id,
        name: zone.name,
        purpose: zone.purpose,
        compartment: zone.compartmentId,
        cold: zone.cold,
        measures: `${zone.widthMm} × ${zone.heightMm} × ${zone.depthMm} mm`,
        litres: Math.round(most * 10) / 10,
        free_litres: Math.max(0, Math.round((most - litres) * 10) / 10),
        grams: masses.get(zone.id) ?? 0,
        packages,
        fill: litres / most,
        celsius: zone.temperatureC,
        celsius_says: read === null ? `assumed: ${assumedCelsius(zone, drawing).says}` : `measured ${read}`,
        measured: read !== null,
        warm: read !== null && zone.temperatureC > (zone.cold === 'fridge' ? WARM_FRIDGE_C : WARM_FREEZER_C),
        told: toldOf(zone, drawing),
        full: zone.limitLitres !== null && litres >= zone.limitLitres,
      };
    });
    return [
      {
        drawing,
        version,
        zones,
        packages: zones.reduce((sum, { packages }) => sum + packages, 0),
        compartments: kitchen.compartments
          .filter(({ applianceId }) => applianceId === id)
          .map((inside): CompartmentPlan => {
            const inner = mine.filter(({ compartmentId }) => compartmentId === inside.id);
            const litres = inner.reduce((sum, zone) => sum + zone.litres, 0);
            const filled = inner.reduce((sum, zone) => sum + (fills.get(zone.id)?.litres ?? 0), 0);
            const fill = litres === 0 ? 0 : filled / litres;
            const tight = inside.cold === 'fridge' && fill > AIR_LINE;
            const { called, cold } = inside;
            return {
              id: inside.id,
              called,
              cold,
              litres: inside.litres,
              fill,
              says: fillSays(cold, fill),
              tight,
            };
          }),
      },
    ];
  });
}

/** The kitchen as drawn, with what each zone holds, how cold it is, and what the cook decided for it. */
export async function readKitchenPlan(): Promise<KitchenPlan> {
  const context = await viewContext();
  return {
    household: context.household.name,
    appliances: await readPlans(context),
    no_freezer: !context.kitchen.compartments.some(({ cold }) => cold === 'freezer'),
  };
}
