import type { Form } from '../model/intakeLine';
import type { Wrap } from '../model/history';
import type { AmountUnit } from '../units/sayAmount';

/** Share of the room a pack takes that is food (RULES 3, packing factors: flat bags, boxes, loose). */
const PACKING = { flat: 0.9, box: 0.85, loose: 0.6 } as const;
const BOXES: ReadonlySet<Wrap> = new Set<Wrap>(['tub', 'jar', 'glass', 'carton', 'shop-tray']);
/** Litres of one piece when nothing is weighed, and of each further one (our own estimate). */
const PIECE_LITRES = { first: 0.4, more: 0.12 } as const;

/**
 * Litres of a zone that a package takes up.
 *
 * @param amount grams, millilitres or pieces, by `unit`
 * @param densityKgPerL of the food, as it lies
 */
export function packedLitres(
  { amount, unit, form, wrap }: { amount: number; unit: AmountUnit; form: Form | null; wrap: Wrap | null },
  densityKgPerL: number,
): number {
  if (unit === 'pc') return (PIECE_LITRES.first + (amount - 1) * PIECE_LITRES.more) / PACKING.loose;
  const litres = amount / 1000 / (unit === 'ml' ? 1 : densityKgPerL);
  if (form === 'flat') return litres / PACKING.flat;
  const boxed = unit === 'ml' || (wrap !== null && BOXES.has(wrap));
  return litres / (boxed ? PACKING.box : PACKING.loose);
}
