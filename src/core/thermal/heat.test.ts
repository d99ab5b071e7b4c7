import fc from 'fast-check';
import { food } from '../../../tests/fixtures/reference';
import { conductivity, density, enthalpy, iceFraction, type ThermalFood } from './foodProperties';
import { heatHours, type HeatCase } from './heatHours';
import { FREEZE_MEDIA, THAW_MEDIA } from './heatMedia';
import { tabulate } from './heatTable';
import { datingThawHours, planningThawHours } from './packageThawHours';
import { solveBody } from './solveBody';
import { thermalFood } from './thermalFood';

const made = (
  water: number,
  protein: number,
  fat: number,
  carbohydrate = 0,
  fibre = 0,
  ash = 0.01,
  freezingPointC = -1,
): ThermalFood => ({
  composition: { water, protein, fat, carbohydrate, fibre, ash },
  freezingPointC,
  porosity: 0,
});
const LEAN = made(0.725, 0.215, 0.05);
const MINCE = made(0.61, 0.175, 0.205);
const BIRD = made(0.66, 0.19, 0.14);
const SOUP = made(0.86, 0.04, 0.03, 0.05, 0.01, 0.01, -0.7);
const BERRIES = made(0.86, 0.008, 0.004, 0.1, 0.025, 0.004);

/** Within so many per cent. */
function near(value: number | null, expected: number, percent: number): void {
  expect(Math.abs((value ?? NaN) / expected - 1) * 100).toBeLessThanOrEqual(percent);
}

const thaw = (more: Partial<HeatCase>): HeatCase => ({
  way: 'thaw',
  food: MINCE,
  massG: 454,
  shape: { kind: 'flat', lengthMm: 240, widthMm: 200 },
  startC: -18,
  medium: THAW_MEDIA.fridge,
  ambientC: 4,
  ...more,
});
const freeze = (more: Partial<HeatCase>): HeatCase =>
  thaw({ way: 'freeze', startC: 4, medium: FREEZE_MEDIA.still, ambientC: -18, ...more });

describe('properties of lean meat', () => {
  it.each([
    ['H(−18)', enthalpy(LEAN, -18), -242.2],
    ['H(−5)', enthalpy(LEAN, -5), -182.9],
    ['H(20)', enthalpy(LEAN, 20), 71.5],
    ['ice(−18)', iceFraction(LEAN, -18), 0.6035],
    ['k(−20)', conductivity(LEAN, -20), 1.679],
    ['k(5)', conductivity(LEAN, 5), 0.488],
    ['density(5)', density(LEAN, 5), 1055.6],
  ])('%s', (_what, value, expected) => near(value, expected, 0.3));
});

describe('the cases of the validation table', () => {
  const block = { kind: 'block', lengthMm: 160, widthMm: 110, heightMm: 55 } as const;
  it.each<[string, HeatCase, number, number, number]>([
    ['V3', thaw({}), 4.16, 7.43, 10.2],
    ['V4', thaw({ medium: THAW_MEDIA['cold-water-changed'], ambientC: 15 }), 0.177, 0.309, 10.2],
    ['V5', freeze({ food: LEAN, massG: 1000, shape: block }), 9.76, 15.9, 55],
    ['V6', freeze({ food: LEAN, massG: 1000, shape: block, medium: FREEZE_MEDIA.fan }), 6.29, 10.5, 55],
    [
      'V7',
      thaw({ food: SOUP, massG: 1000, shape: { kind: 'tub', diameterMm: 120, heightMm: 90 } }),
      37,
      61.1,
      90,
    ],
    ['V8', thaw({ food: BIRD, massG: 2300, shape: { kind: 'round', bird: false } }), 36.2, 57.5, 162],
    [
      'V9',
      freeze({
        food: BERRIES,
        massG: 500,
        shape: { kind: 'loose', diameterMm: 25 },
        medium: FREEZE_MEDIA.tray,
      }),
      5.95,
      10.2,
      25,
    ],
  ])('%s', (_name, kase, typical, cautious, thickness) => {
    const answer = heatHours(kase);
    near(answer.hoursTypical, typical, 6);
    near(answer.hoursCautious, cautious, 6);
    near(answer.thicknessMm, thickness, 2);
    expect(answer.imbalance).toBeLessThan(0.005);
  });
});

it('meets the textbook series of a sphere without phase change: 3,308 s', () => {
  const steps = Array.from({ length: 800 }, (_, at) => -20 + at * 0.1);
  const table = tabulate(steps, {
    enthalpyJ: (celsius) => 3600 * celsius,
    conductivity: () => 0.5,
    rho: 1000,
  });
  const { seconds } = solveBody(
    { exponent: 2, radius: 0.035, inner: 0, h: 50, hBelow: null },
    table,
    30,
    5,
    10,
  );
  near(seconds, 3308, 1);
});

describe('laws of heat', () => {
  const anyFood = fc.constantFrom(LEAN, MINCE, BIRD, SOUP, BERRIES);
  const anyWay = fc.constantFrom('freeze' as const, 'thaw' as const);
  const kase = (way: 'freeze' | 'thaw', more: Partial<HeatCase>): HeatCase =>
    way === 'freeze' ? freeze(more) : thaw(more);
  const hours = (of: HeatCase): number => heatHours(of).hoursTypical ?? Infinity;
  const runs = { numRuns: 15 };
  const notOver = (a: number, b: number): void => expect(a).toBeLessThanOrEqual(b * 1.01);

  it('thicker, closer, colder or longer to go is never quicker; typical is never over cautious', () => {
    fc.assert(
      fc.property(
        anyWay,
        anyFood,
        fc.integer({ min: 100, max: 3000 }),
        fc.integer({ min: 50, max: 1500 }),
        fc.double({ min: 1, max: 8, noNaN: true }),
        (way, food, massG, more, kelvin) => {
          const one = kase(way, { food, massG });
          notOver(hours(one), hours({ ...one, massG: massG + more }));
          const ambient = one.ambientC;
          const slower =
            way === 'freeze' ? Math.min(-12, ambient + kelvin) : Math.max(1, ambient - kelvin / 3);
          notOver(hours(one), hours({ ...one, ambientC: slower }));
          const further = way === 'freeze' ? one.startC + kelvin : one.startC - kelvin;
          notOver(hours(one), hours({ ...one, startC: further }));
          const answer = heatHours(one);
          notOver(answer.hoursTypical ?? Infinity, answer.hoursCautious ?? Infinity);
          expect(answer.imbalance).toBeLessThan(0.005);
          expect(answer.curve.length).toBeLessThanOrEqual(60);
          const cores = answer.curve.map(({ coreC }) => (way === 'freeze' ? -coreC : coreC));
          cores.forEach((core, at) =>
            expect(core).toBeGreaterThanOrEqual((cores[at - 1] ?? -Infinity) - 0.05),
          );
          expect(answer.curve.at(-1)?.coreC).toBeCloseTo(way === 'freeze' ? -10 : 0, 5);
        },
      ),
      runs,
    );
  });

  it('a better medium is never slower; a scaled composition is the same food', () => {
    fc.assert(
      fc.property(
        anyFood,
        fc.integer({ min: 200, max: 2500 }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        (food, massG, factor) => {
          const by = (medium: keyof typeof FREEZE_MEDIA) =>
            hours(freeze({ food, massG, medium: FREEZE_MEDIA[medium] }));
          notOver(by('fan'), by('still'));
          notOver(by('tray'), by('still'));
          notOver(by('still'), by('stacked'));
          const composition = Object.fromEntries(
            Object.entries(food.composition).map(([name, part]) => [name, part * factor]),
          ) as ThermalFood['composition'];
          expect(hours(thaw({ food: { ...food, composition }, massG }))).toBeCloseTo(
            hours(thaw({ food, massG })),
            4,
          );
        },
      ),
      runs,
    );
  });
});

describe('what a package needs to thaw', () => {
  it.each([
    ['chicken-whole', 1800, 24],
    ['chicken-whole', 2300, 24 * (2300 / 1800)],
    ['turkey-whole', 5500, 24 * (5500 / 1800)],
  ])('a whole %s of %i g is planned at the slow end of the advice', (id, amount, least) => {
    const bird = { amount, unit: 'g', form: 'whole' } as const;
    expect(planningThawHours(bird, food(id))).toBeGreaterThanOrEqual(least);
    const kase = {
      way: 'thaw' as const,
      food: thermalFood(food(id)),
      massG: amount,
      shape: { kind: 'round' as const, bird: true },
      startC: -18,
      medium: THAW_MEDIA['fridge-fan'],
      ambientC: 4,
      wholeBird: true,
    };
    const told = heatHours(kase);
    expect(told.hoursTypical).toBeGreaterThanOrEqual((24 * amount) / 2300);
    expect(told.hoursCautious).toBeGreaterThanOrEqual(least);
    // The same bird told by its size alone is as slow.
    const diameterMm = heatHours(kase).thicknessMm;
    const sized = heatHours({ ...kase, massG: null, shape: { kind: 'round', bird: true, diameterMm } });
    expect(sized.hoursCautious ?? 0).toBeGreaterThan(0.98 * least);
  });

  it('plans by the slower of model and landmark, dates by the quicker', () => {
    const haunch = { amount: 2500, unit: 'g', form: 'whole' } as const;
    expect(planningThawHours(haunch, food('venison'))).toBeGreaterThan(40);
    expect(datingThawHours(haunch, food('venison'))).toBeCloseTo((24 * 2500) / 2300, 3);
    expect(datingThawHours({ ...haunch, amount: 600 }, food('venison'))).toBeNull();
    expect(planningThawHours({ amount: 450, unit: 'g', form: 'flat' }, food('ground-beef'))).toBe(12);
    expect(planningThawHours({ amount: 6, unit: 'pc', form: 'loose' }, food('bannocks'))).toBe(12);
  });
});
