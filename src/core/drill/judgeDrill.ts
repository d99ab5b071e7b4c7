import { type Cut, type CutPart, type CutReading, type Seen, USUAL_ROOM_C } from '../model/cut';
import { cutFacts } from '../powercut/cutFacts';
import { type CutVerdict, judgeCut } from '../powercut/judgeCut';
import type { Drill, DrillFood } from './drill';

/** Whatever day it is played on, it happened then. */
const BEGUN = Date.parse('2026-01-10T08:00:00.000Z');
const HOUR_MS = 3_600_000;
const at = (hour: number): string => new Date(BEGUN + hour * HOUR_MS).toISOString();

/** What is known of an exercise: some of it, or all. */
export interface DrillKnown {
  /** Hours the power was off. */
  hours: number;
  readings: readonly { part: string; atH: number; c: number }[];
  telltales: ReadonlyMap<string, CutPart['telltale']>;
  seen: ReadonlyMap<string, Seen>;
}

/** The rules of the desk, on what is known of an exercise. @returns verdicts by item */
export function judgeDrill(
  drill: Drill,
  known: DrillKnown,
  foods: ReadonlyMap<string, DrillFood>,
): Map<string, CutVerdict> {
  const cut: Cut = {
    ...{ id: drill.id, from: at(0), until: at(known.hours), closedAt: null },
    parts: drill.parts.map(({ id, called, kind, fill }) => ({
      ...{ id, called, kind: kind === 'fridge' ? 'fridge' : 'freezer', drawn: true, fill },
      doors: drill.openings > 0 || drill.stillOff ? 'unknown' : 'shut',
      telltale: known.telltales.get(id) ?? 'none',
      ...{ roomC: USUAL_ROOM_C, iceKg: 0, waterKg: 0 },
    })),
  };
  const readings = known.readings.map(({ part, atH, c }, nth): CutReading => ({
    id: String(nth),
    cut: cut.id,
    part,
    at: at(atH),
    c,
  }));
  const things = drill.items.flatMap((item) => {
    const food = foods.get(item.food);
    if (!food) return [];
    return [
      {
        ...{ id: item.id, food: { name: food.name }, outageClass: food.outageClass, past: null },
        stays: [{ part: item.part, from: null, until: null }],
        seen: known.seen.get(item.id) ?? {},
      },
    ];
  });
  const verdicts = judgeCut(cutFacts(cut, { cuts: [cut], readings, openings: [] }), things, at(known.hours));
  return new Map(verdicts.map((verdict) => [verdict.id, verdict]));
}
