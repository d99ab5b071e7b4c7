import type { ApplianceView } from '@/services/kitchen/drawing';
import type { PlaceView } from '@/services/haul/haulPlaces';

/** Zones that are cold enough for a strip, in the order of the kitchen: the best marked, and what speaks against others. */
export function zoneChoices(
  { goes, day, zone: proposed, against, pinned }: PlaceView,
  appliances: readonly ApplianceView[],
): { id: string; words: string }[] {
  const note = (id: string): string => {
    if (id === proposed?.id && !pinned) return ' · best';
    return against[id] === undefined ? '' : ` · ${against[id]}`;
  };
  const cold = goes === 'freezer' && day <= 1 ? 'freezer' : 'fridge';
  return appliances.flatMap(({ name, compartments, zones }) =>
    zones
      .filter((zone) => compartments.find(({ id }) => id === zone.compartment_id)?.cold === cold)
      .map((zone) => ({ id: zone.id, words: `${zone.name}, ${name}${note(zone.id)}` })),
  );
}
