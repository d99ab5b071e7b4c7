import fc from 'fast-check';
import { at, COLD_WATER_HEAT, COMPONENTS, HEAT } from './componentTable';
import { conductivity, density, iceFraction, type ThermalFood } from './foodProperties';
import { heatHours } from './heatHours';
import { FREEZE_MEDIA, type HeatMedium, THAW_MEDIA } from './heatMedia';
import { heatTable, tabulate } from './heatTable';
import { brickFactor } from './shapeFactor';
import { solveBody } from './solveBody';

/** P and R by geometry: slab, cylinder, sphere. */
const SHAPES = [
  { exponent: 0, P: 1 / 2, R: 1 / 8 },
  { exponent: 1, P: 1 / 4, R: 1 / 16 },
  { exponent: 2, P: 1 / 6, R: 1 / 24 },
] as const;

const LEAN: ThermalFood = {
  composition: { water: 0.725, protein: 0.215, fat: 0.05, carbohydrate: 0, fibre: 0, ash: 0.01 },
  freezingPointC: -1,
  porosity: 0,
};

/** Plank's freezing time, s: `a` full thickness or diameter in m, L in J/kg. */
function plankSeconds(
  { P, R }: { P: number; R: number },
  [a, rho, L, k, h]: readonly [a: number, rho: number, L: number, k: number, h: number],
  kelvin: number,
): number {
  return ((rho * L) / kelvin) * ((P * a) / h + (R * a * a) / k);
}

/** Heat capacity without latent heat, J/(kg·K). */
function sensible(food: ThermalFood, celsius: number): number {
  const ice = iceFraction(food, celsius);
  const kJ = COMPONENTS.reduce((sum, name) => {
    if (name === 'ice') return sum + ice * at(HEAT.ice, celsius);
    const share = food.composition[name] - (name === 'water' ? ice : 0);
    return sum + share * at(name === 'water' && celsius < 0 ? COLD_WATER_HEAT : HEAT[name], celsius);
  }, 0);
  return kJ * 1000;
}

/** Pham's freezing time of a slab (E = 1), s; frozen figures at −20 °C. */
function phamSeconds(food: ThermalFood, R: number, Ti: number, Ta: number, h: number, Tc: number): number {
  const Tfm = 1.8 + 0.263 * Tc + 0.105 * Ta;
  const dH1 = density(food, 5) * sensible(food, 5) * (Ti - Tfm);
  const dH2 = density(food, -20) * (iceFraction(food, Tc) * 333_550 + sensible(food, -20) * (Tfm - Tc));
  const dT1 = (Ti + Tfm) / 2 - Ta;
  return (R / h) * (dH1 / dT1 + dH2 / (Tfm - Ta)) * (1 + (h * R) / (2 * conductivity(food, -20)));
}

describe('the closed forms of the validation table', () => {
  it('V1 Plank: a sphere of 70 mm freezes in 0.723 h', () => {
    const seconds = plankSeconds(SHAPES[2], [0.07, 1000, 250_000, 1.2, 50], -1.25 - -40);
    expect(Math.abs(seconds / 3600 / 0.723 - 1)).toBeLessThan(0.005);
  });

  it('V2 Pham: a slab of lean meat, 2.53 h; the solver 2.59 h and within 15 %', () => {
    const pham = phamSeconds(LEAN, 0.025, 4, -30, 30, -10) / 3600;
    expect(Math.abs(pham / 2.53 - 1)).toBeLessThan(0.01);
    const slab = { exponent: 0, radius: 0.025, inner: 0, h: 30, hBelow: null } as const;
    const { seconds, imbalance } = solveBody(slab, heatTable(LEAN), 4, -30, -10);
    const solver = (seconds ?? NaN) / 3600;
    expect(Math.abs(solver / 2.59 - 1)).toBeLessThan(0.02);
    expect(Math.abs(solver / pham - 1)).toBeLessThan(0.15);
    expect(imbalance).toBeLessThan(0.005);
  });

  it.each(SHAPES)('the solver meets Plank under its own assumptions, exponent $exponent', (shape) => {
    const [a, rho, L, k, h, Tf, Ta] = [0.07, 1000, 250_000, 1.2, 50, -1.25, -40] as const;
    const cold = Array.from({ length: 400 }, (_, i) => -60 + ((Tf - 0.02 + 60) * i) / 399);
    const front = Array.from({ length: 60 }, (_, i) => Tf - 0.02 + (0.02 * (i + 1)) / 60);
    const warm = Array.from({ length: 100 }, (_, i) => Tf + (i + 1) * 0.1);
    const tiny = 20;
    const table = tabulate([...cold, ...front, ...warm], {
      enthalpyJ: (T) => tiny * T + (T >= Tf ? L : T <= Tf - 0.02 ? 0 : (L * (T - Tf + 0.02)) / 0.02),
      conductivity: () => k,
      rho,
    });
    const body = { exponent: shape.exponent, radius: a / 2, inner: 0, h, hBelow: null };
    const { seconds } = solveBody(body, table, Tf, Ta, Tf - 0.1);
    const plank = plankSeconds(shape, [a, rho, L, k, h], Tf - Ta);
    expect(Math.abs((seconds ?? NaN) / plank - 1)).toBeLessThan(0.04);
  });
});

describe('laws of shape and medium', () => {
  it('a brick heats 1 to 3 times as fast as its slab, and a longer one never faster', () => {
    const beta = fc.double({ min: 1, max: 20, noNaN: true });
    fc.assert(
      fc.property(beta, beta, beta, fc.double({ min: 0.01, max: 100, noNaN: true }), (a, b, more, biot) => {
        const [one, two] = [Math.min(a, b), Math.max(a, b)];
        const E = brickFactor([one, two], biot);
        expect(E).toBeGreaterThanOrEqual(1);
        expect(E).toBeLessThanOrEqual(3);
        expect(brickFactor([one, two * more], biot)).toBeLessThanOrEqual(E + 1e-12);
      }),
      { numRuns: 1000 },
    );
  });

  const hours = (way: 'freeze' | 'thaw', medium: HeatMedium, heightMm: number): number => {
    const shape = { kind: 'block', lengthMm: 200, widthMm: 150, heightMm } as const;
    const startC = way === 'freeze' ? 4 : -18;
    const kase = { way, food: LEAN, massG: null, shape, startC, medium, ambientC: medium.ambientC };
    return heatHours(kase).hoursTypical ?? Infinity;
  };

  it('a fan and changed water are never slower; a thicker block is never quicker', () => {
    fc.assert(
      fc.property(fc.integer({ min: 10, max: 100 }), fc.integer({ min: 1, max: 50 }), (mm, more) => {
        const still = hours('thaw', THAW_MEDIA.fridge, mm);
        expect(hours('thaw', THAW_MEDIA['fridge-fan'], mm)).toBeLessThanOrEqual(still);
        expect(hours('thaw', THAW_MEDIA['cold-water-changed'], mm)).toBeLessThanOrEqual(still);
        expect(hours('thaw', THAW_MEDIA.fridge, mm + more)).toBeGreaterThanOrEqual(still * 0.99);
        const frozen = hours('freeze', FREEZE_MEDIA.still, mm);
        expect(hours('freeze', FREEZE_MEDIA.still, mm + more)).toBeGreaterThanOrEqual(frozen * 0.99);
      }),
      { numRuns: 10 },
    );
  });
});
