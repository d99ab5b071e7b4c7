import fc from 'fast-check';
import { food } from '../../../tests/fixtures/reference';
import { coolingHours, flatBoxOf, potOf } from './coolingHours';
import { heatTable } from './heatTable';
import { THAW_MEDIA } from './heatMedia';
import { conductivityAt, solveBody } from './solveBody';
import { thermalFood } from './thermalFood';

const SOUP = thermalFood(food('soup'));
const [LOW] = THAW_MEDIA.fridge.h;

/** Seconds for the middle of a plate to cool, by the first term of the textbook series, constant properties. */
function plateSeconds(thicknessM: number, h: number, from: number, air: number, to: number): number {
  const table = heatTable(SOUP);
  const k = conductivityAt(table, 25);
  const c = 3900;
  const biot = (h * thicknessM) / 2 / k;
  let [low, high] = [1e-6, Math.PI / 2 - 1e-6];
  for (let round = 0; round < 80; round++) {
    const middle = (low + high) / 2;
    if (middle * Math.tan(middle) < biot) low = middle;
    else high = middle;
  }
  const zeta = (low + high) / 2;
  const first = (4 * Math.sin(zeta)) / (2 * zeta + Math.sin(2 * zeta));
  const fourier = Math.log((first * (from - air)) / (to - air)) / zeta ** 2;
  return (fourier * (thicknessM / 2) ** 2 * table.rho * c) / k;
}

it('the solver cools a plate as the textbook series does, within 15 %', () => {
  for (const [mm, to] of [
    [40, 21],
    [40, 5],
    [80, 21],
    [120, 5],
  ] as const) {
    const body = { exponent: 0 as const, radius: mm / 2000, inner: 0, h: LOW, hBelow: null };
    const solved = solveBody(body, heatTable(SOUP), 60, 3, to).seconds ?? 0;
    expect(Math.abs(solved / plateSeconds(mm / 1000, LOW, 60, 3, to) - 1)).toBeLessThan(0.15);
  }
});

it('four litres in one pot take most of a day; in flat boxes they are in time or told that they are not', () => {
  const pot = coolingHours(SOUP, potOf(4000), 4000);
  const box = coolingHours(SOUP, flatBoxOf(1000, 25), 1000);
  expect([pot.inTime, (pot.to5H ?? 0) > 9]).toEqual([false, true]);
  expect((pot.to5H ?? 0) / (box.to5H ?? 1)).toBeGreaterThan(2.5);
});

it('is never milder than two hours to 21 °C and four more to 5 °C; deeper or more never cools sooner', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 200, max: 6000 }),
      fc.integer({ min: 15, max: 90 }),
      fc.integer({ min: 1, max: 40 }),
      (grams, depth, more) => {
        const one = coolingHours(SOUP, flatBoxOf(grams, depth), grams);
        const deeper = coolingHours(SOUP, flatBoxOf(grams, depth + more), grams);
        expect(one.inTime).toBe((one.to21H ?? 99) <= 2 && (one.to5H ?? 99) <= 6);
        // While it is a flat box: towards a cube its sides cool as much as its top and foot.
        if (depth + more < 0.7 * Math.sqrt((grams * 1000) / (depth + more)))
          expect(deeper.to5H ?? 99).toBeGreaterThanOrEqual((one.to5H ?? 0) * 0.99);
      },
    ),
    { numRuns: 30 },
  );
});
