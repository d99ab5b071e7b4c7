import { foods as all } from '../../tests/fixtures/reference';
import { NO_DATES, ORDERLY } from './habits';
import { USUAL_TRUTH } from './larder';
import { liveYear } from './year';

const foods = new Map(all.map((food) => [food.id, food]));
const SEEDS = [1, 2, 3];

it('a year lived by the product’s rules wastes less than half of one with no dates; with everything told nobody eats what is unsafe', () => {
  for (const seed of SEEDS) {
    const none = liveYear(NO_DATES, seed, USUAL_TRUTH, foods);
    const orderly = liveYear({ ...ORDERLY, written: 1, obeys: 1 }, seed, USUAL_TRUTH, foods);
    expect(orderly.wasted).toBeLessThan(none.wasted * 0.4);
    expect(orderly.unsafe).toBe(0);
    expect(none.unsafe).toBeGreaterThan(0);
    expect(liveYear(NO_DATES, seed, USUAL_TRUTH, foods)).toEqual(none);
  }
});

it('where the hidden truth is shorter than the figures, it says so: dates alone do not make food safe', () => {
  const short = { ...USUAL_TRUTH, controlledLife: 0.6 };
  const years = SEEDS.map((seed) => liveYear({ ...ORDERLY, written: 1 }, seed, short, foods));
  expect(years.reduce((sum, { unsafe }) => sum + unsafe, 0)).toBeGreaterThan(10);
});
