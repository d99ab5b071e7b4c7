import { SAFE_CHILL_C } from '../model/limits';
import { airDuringCut, coversCut, type CutTimes, cutTimes, hoursAbove, warmest } from './airDuringCut';
import type { CutAppliance } from './powerCut';
import { publishedLimitHours } from './publishedLimit';

/** What is known of the air around one item, over every stretch without power that adds up for it. */
export interface CutAir {
  /** Without power, all stretches together. */
  hours: number;
  /** Hours of stretches that no readings cover. */
  unread: number;
  /** True when readings cover every stretch (O1, O4a). */
  covered: boolean;
  /** Hours above a temperature in the stretches that readings cover, by straight lines. */
  above(thresholdC: number): number;
  /** The warmest of those, °C; `-Infinity`: none is covered. */
  warmest: number;
  /** The published limit, by the emptiest and the least shut of the stretches. */
  limit: number;
  /** "doors shut", "doors opened, so half the hours". */
  doorWords: string;
}

const WORSE_DOORS = ['shut', 'unknown', 'opened'] as const;

const known = new WeakMap<CutTimes, CutAir>();

/** The same for every item that lay in it: worked out once for the times of an appliance. */
export function cutAir(appliance: CutAppliance, times: CutTimes): CutAir {
  const before = known.get(times);
  if (before) return before;
  const air = workOut(appliance, times);
  known.set(times, air);
  return air;
}

/**
 * Cuts in a row and places in a row add up: hours without power, hours above a temperature, and the warmest of all. One stretch
 * alone gives what it always gave.
 */
function workOut(appliance: CutAppliance, times: CutTimes): CutAir {
  const { earlier = [] } = appliance;
  const stretches = [
    ...earlier.map((piece) => ({
      ...appliance,
      ...piece,
      times: cutTimes(piece, piece.until ?? piece.from),
    })),
    { ...appliance, times },
  ].map((piece) => ({ piece, hours: piece.times.hours, covered: coversCut(piece.readings, piece.times) }));
  const lines = stretches.flatMap(({ piece, covered }) =>
    covered ? [airDuringCut(piece, piece.times)] : [],
  );
  const aboveBy = new Map<number, number>();
  const sum = (of: readonly number[]): number => of.reduce((all, one) => all + one, 0);
  const doors =
    WORSE_DOORS.findLast((worse) => stretches.some(({ piece }) => piece.doors === worse)) ?? 'unknown';
  const fill = Math.min(...stretches.map(({ piece }) => piece.fill));
  return {
    hours: sum(stretches.map(({ hours }) => hours)),
    unread: sum(stretches.map(({ hours, covered }) => (covered ? 0 : hours))),
    covered: stretches.every(({ covered }) => covered),
    above(thresholdC) {
      const found = aboveBy.get(thresholdC) ?? sum(lines.map((line) => hoursAbove(line, thresholdC)));
      aboveBy.set(thresholdC, found);
      return found;
    },
    warmest: Math.max(-Infinity, ...lines.map(warmest)),
    limit: publishedLimitHours({ kind: appliance.kind, fill, doors }),
    doorWords: doors === 'shut' ? 'doors shut' : `doors ${doors}, so half the hours`,
  };
}

/** True when no reading tells of air above 4.4 °C, and some tell of the air. */
export const neverWarm = ({ covered, warmest: most }: CutAir): boolean => covered && most <= SAFE_CHILL_C;
