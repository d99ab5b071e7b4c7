import type { CutAppliance } from './powerCut';

/**
 * Hours that public guidance gives an appliance without power: a refrigerator 4; a freezer 48 full, 24 half full, in
 * between by fill, below half in proportion. Doors opened often or not known: half of it.
 */
export function publishedLimitHours({
  kind,
  fill,
  doors,
}: Pick<CutAppliance, 'kind' | 'fill' | 'doors'>): number {
  const full = Math.min(1, Math.max(0, fill));
  const shut = kind === 'fridge' ? 4 : full >= 0.5 ? 24 + 48 * (full - 0.5) : 48 * full;
  return doors === 'shut' ? shut : shut / 2;
}
