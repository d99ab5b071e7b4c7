import type { UnitSystem } from '@/core/units/readAmount';
import { toCelsius } from '@/core/units/retell';

/** °C of what was typed in the household's degrees; NaN for what is no number. */
export const readDegrees = (typed: string, units: UnitSystem): number =>
  typed.trim() === ''
    ? Number.NaN
    : toCelsius(Number(typed.trim().replace(',', '.').replace('−', '-')), units);

/** "°C" or "°F", as a thermometer in this household shows it. */
export const degreesOf = (units: UnitSystem): string => (units === 'us' ? '°F' : '°C');
