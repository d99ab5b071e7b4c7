import { HARD_FROZEN_C } from '../../model/limits';
import { sayCelsius } from '../../powercut/sayCut';

/** Warmer than this no air in an appliance is; such a figure is °F. */
const MOST_AIR_C = 32;
const LEAST_AIR_C = -40;

/** What is odd about a reading in a power cut, in words; `null`: nothing is. */
export function oddReading(called: string, kind: 'fridge' | 'freezer', c: number): string | null {
  if (c > MOST_AIR_C) {
    const celsius = Math.round(((c - 32) * 50) / 9) / 10;
    return `${called}: ${sayCelsius(c)} is warmer than any kitchen. If it was °F, that is ${sayCelsius(celsius)}.`;
  }
  if (c < LEAST_AIR_C) return `${called}: no kitchen is as cold as ${sayCelsius(c)}. Read it again.`;
  if (kind === 'fridge' && c < HARD_FROZEN_C)
    return `${called} is a fridge: at ${sayCelsius(c)} its food would be frozen. Is it the freezer’s reading?`;
  return null;
}
