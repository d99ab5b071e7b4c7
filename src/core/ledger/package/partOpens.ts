import type { Food } from '../../model/food';
import type { Form } from '../../model/intakeLine';
import { soldSealed } from '../../foods/soldSealed';
import type { Package } from '../../model/package';

/** What the cook says of the pieces of a package: each closed in itself, or together in one wrap. */
export const PIECES = ['closed', 'open'] as const;
export type Pieces = (typeof PIECES)[number];

/** Forms that come apart in the freezer without opening what stays (K4). */
const COME_APART: readonly (Form | null)[] = ['loose', 'cubes', 'slices'];

/** Pieces with a skin, a shell or a lid of their own: fruit and vegetables by the piece, eggs, pots of yogurt. */
const ownSkin = (food: Food): boolean =>
  food.readiness === 'needs-wash' ||
  (food.group === 'egg' && food.openedDaysMax === null) ||
  soldSealed(food) !== undefined;

/**
 * Whether taking a part of a package opens what stays (K4): not what is open already, a pot, pieces closed in themselves, or
 * frozen food whose form comes apart.
 *
 * @returns `ask` where only the cook can know; it counts as opened until told
 */
export function partOpens(
  found: Pick<Package, 'openedOn' | 'form' | 'state' | 'unit'>,
  food: Food,
): 'opens' | 'stays' | 'ask' {
  const { openedOn, form, state, unit } = found;
  if (openedOn !== null || form === 'pot' || form === 'sealed') return 'stays';
  if (state === 'frozen' && COME_APART.includes(form)) return 'stays';
  if (unit !== 'pc' || form !== null) return 'opens';
  if (ownSkin(food)) return 'stays';
  return food.openedDaysMax === null ? 'opens' : 'ask';
}
