import type { PackLayout } from '@/core/portions/packLayout';

/** "270 mm". */
export const mm = (value: number): string => `${Math.round(value)} mm`;

/** Words for the picture, for those who do not see it. */
export function sayLayout(layout: PackLayout): string {
  switch (layout.kind) {
    case 'flat': {
      const scored = layout.rows * layout.columns;
      return `A bag of ${mm(layout.lengthMm)} by ${mm(layout.widthMm)}, ${layout.thicknessMm.toFixed(1)} mm thick${scored > 1 ? `, scored in ${scored} of ${Math.round(layout.snapG)} g` : ''}.`;
    }
    case 'vessel':
      return `${layout.packMl} ml in ${Math.round(layout.capacityMl)} ml; the fill line is at ${layout.fillMl} ml, ${layout.headspaceMm} mm under the rim.`;
    case 'cavities':
      return `${layout.cavities} cubes of ${layout.cavityMl} ml on ${layout.trays} trays.`;
    case 'pieces':
      return `About ${layout.pieces} pieces of ${layout.pieceMm} mm in ${layout.layers} layers.`;
    case 'stack':
      return `${layout.pieces} pieces with ${layout.papers} papers between.`;
    case 'log':
      return `A log of ${mm(layout.diameterMm)} across and ${mm(layout.lengthMm)} long.`;
    case 'round':
      return `As thick as a ball of ${mm(layout.diameterMm)}.`;
    case 'lump':
      return `A block of ${mm(layout.lengthMm)} by ${mm(layout.widthMm)} by ${mm(layout.heightMm)}.`;
  }
}
