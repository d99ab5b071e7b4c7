import { tapeWords } from '@/core/labels/tapeWords';
import type { HaulPack } from '@/services/haul/haul';
import type { HaulPlacesView } from '@/services/haul/haulPlaces';

/** Packs with the labels of those that wait for their day in the freezer as they will be then. */
export function datedByTurn(packs: readonly HaulPack[], { places }: HaulPlacesView): HaulPack[] {
  const later = new Map(
    places.flatMap(({ packages }) => packages.map(({ id, label }) => [id, label] as const)),
  );
  return packs.map((pack) => {
    const label = later.get(pack.id);
    return label ? { ...pack, label, tape: tapeWords(label), to_freeze: false } : pack;
  });
}
