import { fillingOf, isWholeBird } from '../foods/foodKinds';
import type { Food } from '../model/food';
import type { Container } from '../model/container';
import { fillLine } from '../packaging/fillLine';
import type { PackageShape } from '../thermal/bodyOfShape';
import type { AmountUnit } from '../units/sayAmount';
import type { Packing } from './packing';
import { portionGrams } from './portionGrams';

/** What a pack looks like inside, true to measure; all that a picture or the heat model needs. Millimetres. */
export type PackLayout =
  | {
      kind: 'flat';
      lengthMm: number;
      widthMm: number;
      thicknessMm: number;
      /** Score lines make rows × columns; 1 × 1: none. */
      rows: number;
      columns: number;
      /** What one snaps off, g. */
      snapG: number;
    }
  | { kind: 'lump'; lengthMm: number; widthMm: number; heightMm: number }
  | { kind: 'round'; diameterMm: number; bird: boolean }
  | {
      kind: 'vessel';
      capacityMl: number;
      heightMm: number;
      diameterMm: number;
      headspaceMm: number;
      /** How much goes in at most below the fill line. */
      fillMl: number;
      packMl: number;
    }
  | { kind: 'cavities'; cavityMl: number; cavities: number; trayOf: number; trays: number }
  | { kind: 'pieces'; pieceMm: number; pieces: number; across: number; layers: number; papers: number }
  | { kind: 'stack'; pieces: number; thickMm: number; diameterMm: number; papers: number }
  | { kind: 'log'; diameterMm: number; lengthMm: number };

/** The usual zip bag, inner measures; its corners hold a tenth less. */
const BAG_MM = { lengthMm: 270, widthMm: 260 } as const;
const BAG_FILL = 0.9;
/** Grams of one piece where things are counted (our own estimate). */
const PIECE_G = 60;
const MOST_SCORES = 12;
/** A freezer tray, inner measures. */
const TRAY_MM = { across: 300, back: 200 } as const;

/** Grams of an amount, whatever it is counted in. */
export function gramsOf(amount: number, unit: AmountUnit, densityKgPerL: number): number {
  return unit === 'g' ? amount : unit === 'ml' ? amount * densityKgPerL : amount * PIECE_G;
}

/** The rows × columns of score lines whose pieces come nearest to square. */
function scoresFor(pieces: number, { lengthMm, widthMm }: { lengthMm: number; widthMm: number }) {
  let best = { rows: 1, columns: pieces };
  const skew = ({ rows, columns }: typeof best) => Math.abs(Math.log(widthMm / columns / (lengthMm / rows)));
  for (let rows = 1; rows <= pieces; rows++) {
    if (pieces % rows !== 0) continue;
    const tried = { rows, columns: pieces / rows };
    if (skew(tried) < skew(best)) best = tried;
  }
  return best;
}

function flat(grams: number, food: Food, bag: Container | null, scored: boolean): PackLayout {
  const size = bag ? { lengthMm: bag.innerMm[0], widthMm: bag.innerMm[1] } : BAG_MM;
  const thicknessMm = ((grams / food.densityKgPerL) * 1000) / (size.lengthMm * size.widthMm * BAG_FILL);
  const wanted = Math.round(grams / portionGrams(food.group, 'usual'));
  const pieces = scored ? Math.min(MOST_SCORES, Math.max(2, wanted)) : 1;
  return { kind: 'flat', ...size, thicknessMm, ...scoresFor(pieces, size), snapG: grams / pieces };
}

function vessel(packMl: number, packing: Packing, food: Food, own: Container | null): PackLayout {
  const capacityMl = own ? own.litres * 1000 : (packing.capacityMl ?? 500);
  const heightMm = own ? own.innerMm[2] : (packing.heightMm ?? 100);
  const line = fillLine(
    { capacityMl, mouth: packing.mouth ?? 'wide', heightMm },
    fillingOf(food),
    food.composition.water,
  );
  const diameterMm = 2 * Math.sqrt((capacityMl * 1000) / heightMm / Math.PI);
  return { kind: 'vessel', capacityMl, heightMm, diameterMm, packMl: Math.round(packMl), ...line };
}

/**
 * How a pack of an amount lies in its wrap.
 *
 * @param own a container of the household's; `null`: the usual one
 */
export function packLayout(
  packing: Packing,
  { amount, unit }: { amount: number; unit: AmountUnit },
  food: Food,
  own: Container | null,
): PackLayout {
  const grams = gramsOf(amount, unit, food.densityKgPerL);
  const mm3 = (grams / food.densityKgPerL) * 1000;
  switch (packing.layout) {
    case 'flat':
      return flat(grams, food, own, false);
    case 'scored':
      return flat(grams, food, own, true);
    case 'vessel':
      return vessel(mm3 / 1000, packing, food, own);
    case 'cavities': {
      const cavityMl = packing.cavityMl ?? 30;
      const trayOf = packing.trayOf ?? 12;
      const cavities = Math.max(1, Math.ceil(mm3 / 1000 / cavityMl));
      return { kind: 'cavities', cavityMl, cavities, trayOf, trays: Math.ceil(cavities / trayOf) };
    }
    case 'pieces': {
      const pieceMm = packing.pieceMm ?? 25;
      const one = (Math.PI / 6) * pieceMm ** 3;
      const pieces = unit === 'pc' ? amount : Math.max(1, Math.round(mm3 / one));
      const across = Math.floor(TRAY_MM.across / pieceMm);
      const layers = Math.ceil(pieces / (across * Math.floor(TRAY_MM.back / pieceMm)));
      return { kind: 'pieces', pieceMm, pieces, across, layers, papers: layers - 1 };
    }
    case 'stack': {
      const pieces = unit === 'pc' ? amount : Math.max(1, Math.round(grams / (packing.pieceG ?? 100)));
      const thickMm = packing.pieceThickMm ?? 15;
      const diameterMm = 2 * Math.sqrt(mm3 / pieces / thickMm / Math.PI);
      return { kind: 'stack', pieces, thickMm, diameterMm, papers: Math.max(0, pieces - 1) };
    }
    case 'log': {
      const diameterMm = packing.diameterMm ?? 45;
      return { kind: 'log', diameterMm, lengthMm: mm3 / (Math.PI * (diameterMm / 2) ** 2) };
    }
    case 'round':
      return { kind: 'round', diameterMm: ((6 * mm3) / Math.PI) ** (1 / 3), bird: isWholeBird(food) };
    case 'lump': {
      const side = (mm3 / 2.8) ** (1 / 3);
      return { kind: 'lump', lengthMm: 2 * side, widthMm: 1.4 * side, heightMm: side };
    }
  }
}

/** The shape of a laid-out pack for the heat model. */
export function layoutShape(layout: PackLayout): PackageShape {
  switch (layout.kind) {
    case 'flat':
      return {
        kind: 'flat',
        lengthMm: layout.lengthMm,
        widthMm: layout.widthMm,
        thicknessMm: layout.thicknessMm,
      };
    case 'lump':
      return { ...layout, kind: 'block' };
    case 'round':
      return { kind: 'round', diameterMm: layout.bird ? undefined : layout.diameterMm, bird: layout.bird };
    case 'vessel': {
      const heightMm = Math.max(10, layout.heightMm * Math.min(1, layout.packMl / layout.capacityMl));
      return { kind: 'tub', diameterMm: layout.diameterMm, heightMm };
    }
    case 'cavities':
      return { kind: 'loose', diameterMm: ((6 * layout.cavityMl * 1000) / Math.PI) ** (1 / 3) };
    case 'pieces':
      return { kind: 'loose', diameterMm: layout.pieceMm };
    case 'stack':
      return {
        kind: 'tub',
        diameterMm: layout.diameterMm,
        heightMm: Math.min(4, layout.pieces) * layout.thickMm,
      };
    case 'log':
      return { kind: 'tub', diameterMm: layout.diameterMm, heightMm: layout.lengthMm };
  }
}
