import type { Food } from '../foods/food';
import type { Form } from '../ledger/intakeLine';
import type { AmountUnit } from '../units/sayAmount';
import type { PackageShape } from './bodyOfShape';
import { heatHours } from './heatHours';
import { THAW_MEDIA } from './heatMedia';
import { landmarkThawHours } from './landmarkThawHours';
import { isWholeBird, thermalFood } from './thermalFood';

/** A bag of the usual size, filed flat. */
const BAG_MM = { lengthMm: 240, widthMm: 200 };
const FLAT: readonly (Form | null)[] = ['flat', 'scored', 'slices'];
const PIECES_MM: Partial<Record<Form, number>> = { loose: 25, cubes: 35, patties: 25, meatballs: 40 };
const FROZEN_C = -18;
/** Public advice for large pieces, on its quick side: 24 h for each 2.3 kg. Below that, no whole day goes by. */
const QUICK_G_A_DAY = 2300;

interface Thawing {
  amount: number;
  unit: AmountUnit;
  form: Form | null;
}

function shapeOf({ form }: Thawing, food: Food): PackageShape {
  if (FLAT.includes(form)) return { kind: 'flat', ...BAG_MM };
  const piece = form === null ? undefined : PIECES_MM[form];
  return piece === undefined
    ? { kind: 'round', bird: isWholeBird(food) }
    : { kind: 'loose', diameterMm: piece };
}

function modelHours(pack: Thawing, food: Food) {
  const medium = THAW_MEDIA.fridge;
  return heatHours({
    way: 'thaw',
    food: thermalFood(food),
    massG: pack.amount,
    shape: shapeOf(pack, food),
    startC: FROZEN_C,
    medium,
    ambientC: medium.ambientC,
  });
}

const isFlat = ({ form }: Thawing): boolean =>
  FLAT.includes(form) || (form !== null && PIECES_MM[form] !== undefined);

/**
 * Cautious hours to thaw in the refrigerator, for planning: the slower of the heat model's cautious side and the public
 * landmark. Counted in pieces, the landmark alone speaks.
 */
export function planningThawHours(pack: Thawing, food: Food): number {
  const landmark = landmarkThawHours(pack.unit === 'pc' ? null : pack.amount, isFlat(pack));
  if (pack.unit === 'pc') return landmark;
  return Math.max(landmark, modelHours(pack, food).hoursCautious ?? landmark);
}

/**
 * Typical hours to thaw in the refrigerator, for dates (K7): the quicker of the heat model and the public landmark, so that
 * a model errs early for safety. `null` for what thaws within a day by the landmark, or has no mass.
 */
export function datingThawHours(pack: Thawing, food: Food): number | null {
  if (pack.unit === 'pc' || pack.amount < QUICK_G_A_DAY) return null;
  const landmark = (24 * pack.amount) / QUICK_G_A_DAY;
  return Math.min(landmark, modelHours(pack, food).hoursTypical ?? landmark);
}
