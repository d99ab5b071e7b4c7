import { Refusal } from '../model/refusal';
import { brickFactor, firstEdge, secondEdge } from './shapeFactor';

/** A package's shape; a dimension may be left out where mass and density give it. Millimetres. */
export type PackageShape =
  | { kind: 'flat'; lengthMm: number; widthMm: number; thicknessMm?: number | undefined }
  | {
      kind: 'block';
      lengthMm?: number | undefined;
      widthMm?: number | undefined;
      heightMm?: number | undefined;
    }
  | { kind: 'tub'; diameterMm?: number | undefined; heightMm?: number | undefined }
  | { kind: 'round'; diameterMm?: number | undefined; bird: boolean }
  | { kind: 'loose'; diameterMm?: number | undefined };

/** The body to solve for a shape, and by what its time is divided. */
export interface ShapedBody {
  exponent: 0 | 1 | 2;
  /** Smallest full dimension, m. */
  thickness: number;
  /** Share of the radius that is hollow and insulated. */
  hollow: number;
  /** Density to use, kg/m³. */
  rho: number;
  /** Pieces lie close: this share of the coefficient reaches them. */
  exposed: number;
  /** A plate below counts: slabs only. */
  flatBelow: boolean;
  /** The factor by which the solved time is divided, for a Biot number. */
  factor(biot: number): number;
}

/** A bag's corners hold a tenth less. */
const BAG_FILL = 0.9;
const BIRD_HOLLOW = 0.1;
const LOOSE_MM = 25;
const NEIGHBOURS = 0.5;

const PLAIN = { hollow: 0, exposed: 1, flatBelow: false, factor: () => 1 };

function need(massG: number | null): number {
  if (massG === null)
    throw new Refusal('shape', 'How much does it weigh? A dimension follows from its mass.');
  return massG / 1000;
}

const metres = (mm: number | undefined): number | null => (mm === undefined ? null : mm / 1000);

function brick(sides: readonly number[], rho: number): ShapedBody {
  const [thickness = 0, second = 0, third = 0] = [...sides].sort((a, b) => a - b);
  const betas = [Math.max(1, second / thickness), Math.max(1, third / thickness)] as const;
  return {
    ...PLAIN,
    exponent: 0,
    thickness,
    rho,
    flatBelow: true,
    factor: (biot) => brickFactor(betas, biot),
  };
}

function block(
  shape: Extract<PackageShape, { kind: 'block' }>,
  massG: number | null,
  rho: number,
): ShapedBody {
  const sides = [metres(shape.lengthMm), metres(shape.widthMm), metres(shape.heightMm)];
  const known = sides.filter((side): side is number => side !== null);
  if (known.length < 2) throw new Refusal('shape', 'A block needs at least two of its three dimensions.');
  if (known.length === 2)
    return brick([...known, need(massG) / rho / ((known[0] ?? 1) * (known[1] ?? 1))], rho);
  const packed = massG === null ? rho : massG / 1000 / known.reduce((volume, side) => volume * side, 1);
  return brick(known, Math.min(1.1 * rho, Math.max(0.6 * rho, packed)));
}

function tub(shape: Extract<PackageShape, { kind: 'tub' }>, massG: number | null, rho: number): ShapedBody {
  let diameter = metres(shape.diameterMm);
  let height = metres(shape.heightMm);
  if (diameter === null && height === null) {
    throw new Refusal('shape', 'A tub needs its diameter or its height.');
  }
  diameter ??= Math.sqrt((4 * need(massG)) / rho / (Math.PI * (height ?? 1)));
  height ??= (4 * need(massG)) / rho / (Math.PI * diameter ** 2);
  const beta = Math.max(diameter, height) / Math.min(diameter, height);
  return height <= diameter
    ? {
        ...PLAIN,
        exponent: 0,
        thickness: height,
        rho,
        flatBelow: true,
        factor: (biot) => 1 + 2 * firstEdge(beta, biot),
      }
    : { ...PLAIN, exponent: 1, thickness: diameter, rho, factor: (biot) => (2 + secondEdge(beta, biot)) / 2 };
}

/**
 * Which one-dimensional body stands for a shape (THERMAL 3, Shapes).
 *
 * @param massG grams; `null`: not known
 * @param rho of the food, kg/m³
 * @throws Refusal `shape` when a dimension is missing that only the mass would give
 */
export function bodyOfShape(shape: PackageShape, massG: number | null, rho: number): ShapedBody {
  switch (shape.kind) {
    case 'flat': {
      const [length, width] = [shape.lengthMm / 1000, shape.widthMm / 1000];
      const thickness = metres(shape.thicknessMm) ?? need(massG) / (rho * length * width * BAG_FILL);
      const betas = [width, length].map((side) => Math.max(1, side / thickness)).sort((a, b) => a - b);
      const [beta1 = 1, beta2 = 1] = betas;
      return {
        ...PLAIN,
        exponent: 0,
        thickness,
        rho,
        flatBelow: true,
        factor: (biot) => brickFactor([beta1, beta2], biot),
      };
    }
    case 'block':
      return block(shape, massG, rho);
    case 'tub':
      return tub(shape, massG, rho);
    case 'round': {
      const volume = (): number => need(massG) / rho / (shape.bird ? 1 - BIRD_HOLLOW : 1);
      const thickness = metres(shape.diameterMm) ?? ((6 * volume()) / Math.PI) ** (1 / 3);
      return { ...PLAIN, exponent: 2, thickness, rho, hollow: shape.bird ? BIRD_HOLLOW ** (1 / 3) : 0 };
    }
    case 'loose':
      return {
        ...PLAIN,
        exponent: 2,
        thickness: (shape.diameterMm ?? LOOSE_MM) / 1000,
        rho,
        exposed: NEIGHBOURS,
      };
  }
}
