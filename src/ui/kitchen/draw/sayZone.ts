import type { DrawnZone, ZoneKind } from '@/core/model/drawing';

/** What a cook calls the kinds of zones. */
export const KIND_WORDS: Record<ZoneKind, string> = {
  shelf: 'Shelf',
  drawer: 'Drawer or crisper',
  door: 'Door rack',
  bin: 'Bin',
  basket: 'Basket',
  tray: 'Tray',
  layer: 'Layer of a chest',
};

/** A zone in one sentence for those who hear the drawing. */
export function sayZone({ name, kind, xMm, yMm, zMm, widthMm, heightMm, depthMm }: DrawnZone): string {
  return `${name}, ${KIND_WORDS[kind].toLowerCase()}, ${widthMm} wide, ${heightMm} high, ${depthMm} deep, at ${xMm} from the left, ${yMm} from the top, ${zMm} from the front`;
}
