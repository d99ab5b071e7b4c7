import fc from 'fast-check';
import { food } from '../../../tests/fixtures/reference';
import { cautiousThawHours, planningThawHours } from '../thermal/packageThawHours';
import { routesFor } from './routesFor';
import { bestWay, thawWays } from './thawWays';

const MEAL = '2026-11-28T18:30:00.000Z';
const NOW = '2026-11-25T12:00:00.000Z';
const before = (hours: number): string => new Date(Date.parse(MEAL) - hours * 3_600_000).toISOString();
const pack = (amount: number, form: 'flat' | 'block' | 'loose' | null = null) => ({
  amount,
  unit: 'g' as const,
  form,
});
const ways = (...told: Parameters<typeof thawWays>) => thawWays(...told).map(({ way }) => way);

it('starts are the meal less an hour less the cautious hours of the same calculator', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 100, max: 3000 }),
      fc.constantFrom('ground-lamb', 'trout', 'stew', 'chicken-pieces', 'bread'),
      fc.constantFrom('flat' as const, null),
      (grams, id, form) => {
        const its = pack(grams, form);
        for (const { way, hours, startBy, late } of thawWays(its, food(id), MEAL, NOW)) {
          if (way === 'fridge') expect(hours).toBe(planningThawHours(its, food(id)));
          if (way === 'cold-water')
            expect(hours).toBe(cautiousThawHours(its, food(id), 'cold-water-changed'));
          expect(Math.abs(Date.parse(startBy) - Date.parse(before(hours + 1)))).toBeLessThan(2);
          expect(late).toBe(startBy < NOW);
        }
      },
    ),
    { numRuns: 25 },
  );
});

it('metal is for bread and cakes, never for meat; a bird is not cooked from frozen; a thick lump is not thawed in water', () => {
  expect(ways(pack(700), food('bread'), MEAL, NOW)).toContain('metal');
  expect(ways(pack(500, 'flat'), food('ground-lamb'), MEAL, NOW)).toEqual([
    'fridge',
    'cold-water',
    'from-frozen',
  ]);
  expect(ways(pack(2300), food('chicken-whole'), MEAL, NOW)).not.toContain('from-frozen');
  expect(ways(pack(9000), food('turkey-whole'), MEAL, NOW)).toEqual(['fridge']);
});

it('vegetables go from the freezer into the pan', () => {
  expect(ways(pack(400, 'loose'), food('peas'), MEAL, NOW)).toEqual(['from-frozen']);
});

it('a missed start changes the plan and says how', () => {
  const mince = (now: string) => thawWays(pack(500, 'flat'), food('ground-lamb'), MEAL, now);
  expect(bestWay(mince(NOW))?.way).toBe('fridge');
  const late = mince(before(6));
  expect([late[0]?.late, bestWay(late)?.way]).toEqual([true, 'cold-water']);
  expect(bestWay(late)?.says).toMatch(/changed every half hour.*Cook it at once/);
  expect(bestWay(mince(before(1.1)))?.way).toBe('from-frozen');
  expect(bestWay(thawWays(pack(2300), food('chicken-whole'), MEAL, before(3)))).toBeNull();
});

it('routes take what turns, those that take the most of it first', () => {
  expect(
    routesFor(['herb'])
      .map(({ name }) => name)
      .sort(),
  ).toEqual(['Pesto or herb cubes', 'Stock']);
  expect(routesFor(['vegetable', 'cooked-meat', 'leftovers'])[0]?.name).toBe('Soup');
  expect(routesFor(['drink'])).toEqual([]);
});
