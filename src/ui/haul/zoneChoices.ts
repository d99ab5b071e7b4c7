import type { ApplianceView } from '@/services/drawing';
import type { PlaceView } from '@/services/haulPlaces';

/** Zones that are cold enough for a strip, in the order of the kitchen. */
export function zoneChoices(
  { goes, day }: PlaceView,
  appliances: readonly ApplianceView[],
): { id: string; words: string }[] {
  const cold = goes === 'freezer' && day <= 1 ? 'freezer' : 'fridge';
  return appliances.flatMap(({ name, compartments, zones }) =>
    zones
      .filter((zone) => compartments.find(({ id }) => id === zone.compartment_id)?.cold === cold)
      .map((zone) => ({ id: zone.id, words: `${zone.name}, ${name}` })),
  );
}
