import type { Food } from '../model/food';
import type { Form } from '../model/intakeLine';
import type { AmountUnit } from '../units/sayAmount';
import type { PackageShape } from './bodyOfShape';
import { heatHours } from './heatHours';
import { FREEZE_MEDIA, THAW_MEDIA, type ThawMedium } from './heatMedia';
import { landmarkThawHours } from './landmarkThawHours';
import { thermalFood } from './thermalFood';
import { isWholeBird } from '../foods/foodKinds';

/** A bag of the usual size, filed flat. */
const BAG_MM = { lengthMm: 240, widthMm: 200 };
const FLAT: readonly (Form | null)[] = ['flat', 'scored', 'slices'];
const PIECES_MM: Partial<Record<Form, number>> = { loose: 25, cubes: 35, patties: 25, meatballs: 40 };
const FROZEN_C = -18;
const CHILLED_C = 4;
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

function modelHours(pack: Thawing, food: Food, by: ThawMedium = 'fridge') {
  const medium = THAW_MEDIA[by];
  return heatHours({
    way: 'thaw',
    food: thermalFood(food),
    massG: pack.amount,
    shape: shapeOf(pack, food),
    startC: FROZEN_C,
    medium,
    ambientC: medium.ambientC,
    wholeBird: isWholeBird(food),
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

/** Cautious hours to thaw by another way than the refrigerator; `null`: counted in pieces, or longer than 40 days. */
export const cautiousThawHours = (pack: Thawing, food: Food, medium: ThawMedium): number | null =>
  pack.unit === 'pc' ? null : modelHours(pack, food, medium).hoursCautious;

/**
 * Typical hours to thaw in the refrigerator, for dates (K7): the quicker of the heat model and the public landmark, so that
 * a model errs early for safety. `null` for what thaws within a day by the landmark, or has no mass.
 */
export function datingThawHours(pack: Thawing, food: Food): number | null {
  if (pack.unit === 'pc' || pack.amount < QUICK_G_A_DAY) return null;
  const landmark = (24 * pack.amount) / QUICK_G_A_DAY;
  return Math.min(landmark, modelHours(pack, food).hoursTypical ?? landmark);
}

/** Typical hours in and out of the freezer, for the portion bench; `null`: longer than 40 days. */
export interface PackHours {
  freeze: number | null;
  thawFridge: number | null;
  thawColdWater: number | null;
}

/**
 * What a pack of a food needs in and out of the freezer, by the heat model.
 *
 * @param bag of a flat pack; `null`: it freezes as a lump
 */
export function packHours(
  food: Food,
  grams: number,
  bag: { lengthMm: number; widthMm: number } | null,
): PackHours {
  const kase = {
    food: thermalFood(food),
    massG: grams,
    wholeBird: isWholeBird(food),
    shape: bag ? ({ kind: 'flat', ...bag } as const) : ({ kind: 'round', bird: isWholeBird(food) } as const),
  };
  const thaw = (medium: (typeof THAW_MEDIA)['fridge' | 'cold-water']): number | null =>
    heatHours({ ...kase, way: 'thaw', startC: FROZEN_C, medium, ambientC: medium.ambientC }).hoursTypical;
  const { still } = FREEZE_MEDIA;
  return {
    freeze: heatHours({ ...kase, way: 'freeze', startC: CHILLED_C, medium: still, ambientC: still.ambientC })
      .hoursTypical,
    thawFridge: thaw(THAW_MEDIA.fridge),
    thawColdWater: thaw(THAW_MEDIA['cold-water']),
  };
}
