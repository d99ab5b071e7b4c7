import type { Kitchen } from '@/store/kitchens';

/** Zones by name with their appliance; what lies in none is out of the cold. */
export function placeNames({ zones }: Kitchen): (zoneId: string | null) => string {
  const names = new Map(zones.map(({ id, name, applianceName }) => [id, `${name}, ${applianceName}`]));
  return (zoneId) =>
    zoneId === null ? 'Out of the cold' : (names.get(zoneId) ?? 'A place that is not drawn');
}
