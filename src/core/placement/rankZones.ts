import { hardFault, type PlacingRefusal } from './hardRules';
import { mayDrip } from './neighbours';
import { isExposed, isRaw, type PlacedFood, type PlacingPackage, type PlacingZone } from './placing';
import { softScore } from './softScore';

/** A zone as it stands in a list for one package. */
export interface RankedZone<Zone extends PlacingZone> {
  zone: Zone;
  /** What speaks hard against it; `null`: nothing. */
  fault: PlacingRefusal | null;
  points: number;
  /** What speaks for it. */
  reasons: string[];
}

/** Raw juice that could reach what must not have it, were the package in that zone (P3). */
function dripFault(
  found: PlacingPackage,
  there: PlacingZone,
  zones: readonly PlacingZone[],
  contents: readonly PlacedFood[],
): PlacingRefusal | null {
  const reached = contents.find((other) => {
    const zone = zones.find(({ id }) => id === other.zone);
    if (!zone) return false;
    return (
      (isRaw(found.food) && isExposed(other) && mayDrip(there, zone)) ||
      (isExposed(found) && isRaw(other.food) && mayDrip(zone, there))
    );
  });
  if (!reached) return null;
  const says = isRaw(found.food)
    ? `its juice could reach ${reached.food.name}`
    : `the juice of ${reached.food.name} could reach it`;
  return { rule: 'P3', says };
}

/** Every zone for one package, the best first; those that something speaks hard against come last, with what it is. */
export function rankZones<Zone extends PlacingZone>(
  found: PlacingPackage,
  zones: readonly Zone[],
  contents: readonly PlacedFood[],
): RankedZone<Zone>[] {
  return zones
    .map((zone): RankedZone<Zone> => {
      const fault = hardFault(found, zone) ?? dripFault(found, zone, zones, contents);
      return { zone, fault, ...softScore(found, zone, zones, contents) };
    })
    .sort((a, b) => Number(a.fault !== null) - Number(b.fault !== null) || b.points - a.points);
}
