import type { Seen, TELLTALES } from '../model/cut';
import { DRAWS } from '../powercut/cutForecast';
import { seededNormals } from '../powercut/seededNormals';
import { warmUp } from '../powercut/warmUp';
import type { Drill, DrillPart } from './drill';

const STEP_H = 0.25;
/** From here on a frozen thing shows crystals, and a cube keeps its edges, °C. */
const CRYSTALS_C = -0.6;
const SHARP_C = -2;
const MELTED_C = 0.5;
/** A thing near the door is as much nearer to the air. */
const MOST_OUTER = 0.5;
const HARD_C = -14;

/** What happened in one appliance. */
export interface PartTruth {
  /** The air, every quarter of an hour and at the end. */
  air: { atH: number; c: number }[];
  /** The food that faces the air at the end, and at its warmest, °C. */
  outerC: number;
  warmestC: number;
  telltale: (typeof TELLTALES)[number];
}

/** What happened, all of it. */
export interface DrillTruth {
  hours: number;
  parts: ReadonlyMap<string, PartTruth>;
  items: ReadonlyMap<string, Seen>;
}

function telltaleOf(warmestC: number, refroze: boolean): PartTruth['telltale'] {
  if (warmestC < SHARP_C) return 'loose';
  if (warmestC <= MELTED_C) return 'rounded';
  return refroze ? 'one-block' : 'water';
}

function partTruth(drill: Drill, part: DrillPart, hours: number, looks: readonly number[]): PartTruth {
  const chance = seededNormals(drill.seed + drill.parts.indexOf(part) * 1009);
  const z = Float64Array.from({ length: DRAWS }, () => chance.normal());
  const steps = Math.floor(hours / STEP_H);
  const times = [
    ...Array.from({ length: steps + 1 }, (_, at) => at * STEP_H),
    ...(steps * STEP_H < hours ? [hours] : []),
  ];
  const before = Array.from(
    { length: drill.openings },
    (_, at) => ((at + 0.5) * drill.hours) / drill.openings,
  );
  const outer: number[] = [];
  const { airAt } = warmUp(
    {
      ...{
        kind: part.kind,
        litres: part.litres,
        fill: part.fill,
        iceKg: part.iceKg ?? 0,
        waterKg: 0,
        startC: null,
      },
      ambientC: part.roomC,
      openings: [...before, ...looks].map((atH) => ({ atH, seconds: 40 })),
      readings: times.map((atH) => ({ atH, c: 0 })),
      ...{ hours: Math.ceil(hours) + 1, samples: 1, seed: drill.seed },
    },
    z,
    (hour, celsius) => {
      outer[hour] = celsius;
    },
  );
  const whole = Math.floor(hours);
  const from = outer[whole] ?? 0;
  const outerC = from + ((outer[whole + 1] ?? from) - from) * (hours - whole);
  const warmestC = Math.max(outerC, ...outer.slice(0, whole + 1));
  return {
    air: times.map((atH, at) => ({ atH, c: airAt[at] ?? 0 })),
    ...{ outerC, warmestC, telltale: telltaleOf(warmestC, drill.refroze) },
  };
}

/**
 * The hidden truth of an exercise, by the physics of the forecast with parameters drawn from its seed.
 *
 * @param spent minutes spent looking while the power was still off, and at which of them a door was opened
 */
export function drillTruth(drill: Drill, spent: { minutes: number; looks: readonly number[] }): DrillTruth {
  const hours = drill.hours + (drill.stillOff ? spent.minutes / 60 : 0);
  const looks = drill.stillOff ? spent.looks.map((minute) => drill.hours + minute / 60) : [];
  const parts = new Map(drill.parts.map((part) => [part.id, partTruth(drill, part, hours, looks)]));
  const chance = seededNormals(drill.seed + 7);
  const items = new Map(
    drill.items.map((item): [string, Seen] => {
      const part = drill.parts.find(({ id }) => id === item.part);
      const truth = parts.get(item.part);
      const near = chance.uniform() * MOST_OUTER;
      const signs: Seen = item.sign === null ? {} : { [item.sign]: true };
      if (!part || !truth) return [item.id, signs];
      const air = truth.air.at(-1)?.c ?? truth.outerC;
      const warm = truth.outerC + near * (air - truth.outerC);
      const celsius = drill.refroze ? HARD_C : warm;
      const measuredC = Math.round(celsius * 10) / 10;
      if (part.kind === 'fridge') return [item.id, { ...signs, measuredC }];
      return [item.id, { ...signs, iceCrystals: celsius <= CRYSTALS_C, measuredC }];
    }),
  );
  return { hours, parts, items };
}
