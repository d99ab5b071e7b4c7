import type { Food } from '../model/food';
import {
  countedMinutes,
  FROZEN_GRACE_MINUTES,
  MOST_COUNTER_MINUTES,
  minutesBetween,
} from '../keeping/counterMinutes';
import type { HaulLine } from '../model/haul';

/** Minutes at which the clock warns, of 120; above 32 °C each minute counts for two. */
const WARN_MINUTES = 60;
const HURRY_MINUTES = 100;

export type ClockLevel = 'no-hurry' | 'cold' | 'fine' | 'warn' | 'hurry' | 'over';

/** How long something of a haul has stood out of the cold, and how long it still may (K10). */
export interface CounterClock {
  level: ClockLevel;
  /** Minutes by the clock so far. */
  stood: number;
  /** Safe minutes by the clock that are left; `null` for food that may stand out. */
  left: number | null;
}

/**
 * The counter clock of a line (K10: 120 minutes in all, 60 above 32 °C). It warns at 60 and 100 minutes, asks at 120.
 *
 * @param now ISO 8601 UTC
 * @param hot above 32 °C; every minute then counts for two
 */
export function counterClock(
  {
    outSince,
    stoodMinutes,
    start,
  }: Pick<HaulLine, 'outSince' | 'stoodMinutes'> & Partial<Pick<HaulLine, 'start'>>,
  { controlled }: Pick<Food, 'controlled'>,
  now: string,
  hot: boolean,
): CounterClock {
  const stood = stoodMinutes + (outSince === null ? 0 : minutesBetween(outSince, now));
  if (!controlled) return { level: 'no-hurry', stood, left: null };
  const factor = hot ? 2 : 1;
  const counted = countedMinutes(start?.frozen ? 'frozen' : 'chilled', stood, hot);
  const grace = start?.frozen ? Math.max(0, FROZEN_GRACE_MINUTES - stood) : 0;
  const left = Math.floor((MOST_COUNTER_MINUTES - counted) / factor) + grace;
  if (counted >= MOST_COUNTER_MINUTES) return { level: 'over', stood, left };
  if (outSince === null) return { level: 'cold', stood, left };
  const level = counted >= HURRY_MINUTES ? 'hurry' : counted >= WARN_MINUTES ? 'warn' : 'fine';
  return { level, stood, left };
}
