import { HARD_FROZEN_C } from '@/core/model/limits';
import type { Zone } from '@/core/model/package';
import { coldOf } from '@/core/ledger/package/judgePackage';
import type { Kitchen } from '@/store/kitchens';

/**
 * How cold it is where something will be frozen, for a date that is told before: the zone that is chosen, else the warmest
 * freezer zone of the household, so that what is told is never later than what is stored.
 */
export function freezerCold({ zones }: Pick<Kitchen, 'zones'>, chosen: string | null = null): { c?: number } {
  const freezers = zones.filter(
    ({ cold, temperatureC }) => cold === 'freezer' && temperatureC <= HARD_FROZEN_C,
  );
  const told = freezers.find(({ id }) => id === chosen);
  if (told) return coldOf(told);
  const warmest = freezers.reduce<Pick<Zone, 'cold' | 'temperatureC'> | null>(
    (most, zone) => (most === null || zone.temperatureC > most.temperatureC ? zone : most),
    null,
  );
  return warmest ? coldOf(warmest) : {};
}
