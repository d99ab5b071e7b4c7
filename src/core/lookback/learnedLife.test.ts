import { seededNormals } from '../powercut/seededNormals';
import { learnedLife, type LifeFinding } from './learnedLife';

/** Findings of packages whose true lives are drawn about a hidden median: looked at every few days, some eaten before they turn. */
function findings(median: number, spread: number, count: number, seed: number): LifeFinding[] {
  const chance = seededNormals(seed);
  return Array.from({ length: count }, () => {
    const life = median * Math.exp(spread * chance.normal());
    const every = 1 + Math.floor(chance.uniform() * Math.max(1, median / 5));
    const eaten = Math.round(median * (0.5 + 1.5 * chance.uniform()));
    let fineDays = 0;
    for (let day = every; ; day += every) {
      if (day > eaten)
        return { fineDays: Math.min(eaten, Math.max(fineDays, 0)) || fineDays, turnedDays: null };
      if (day >= life) return { fineDays, turnedDays: day };
      fineDays = day;
    }
  });
}

it('with no findings it stays at the published figure', () => {
  for (const days of [2, 7, 21, 180]) expect(learnedLife(days, []).days).toBe(days);
  expect(learnedLife(10, [{ fineDays: 0, turnedDays: null }])).toMatchObject({ days: 10, findings: 0 });
});

it('recovers a hidden truth within a tenth from sixty findings, wherever the published figure stood', () => {
  const errors = Array.from({ length: 60 }, (_, seed) => {
    const truth = [6, 10, 14, 25][seed % 4] ?? 10;
    const published = truth * ([0.6, 0.8, 1, 1.4, 1.8][seed % 5] ?? 1);
    return Math.abs(
      learnedLife(published, findings(truth, 0.2 + 0.1 * (seed % 2), 60, seed + 1)).days / truth - 1,
    );
  }).sort((a, b) => a - b);
  expect(errors[30]).toBeLessThan(0.05);
  expect(errors[56]).toBeLessThan(0.1);
});

it('what was eaten fine says that it lasts at least so long; what turned early, that it does not', () => {
  const eaten = Array.from({ length: 30 }, () => ({ fineDays: 15, turnedDays: null }));
  const turned = Array.from({ length: 30 }, () => ({ fineDays: 3, turnedDays: 5 }));
  expect(learnedLife(10, eaten).days).toBeGreaterThan(15);
  expect(learnedLife(10, turned).days).toBeLessThan(5.2);
  const few = learnedLife(10, turned.slice(0, 2));
  expect(few.days).toBeGreaterThan(learnedLife(10, turned).days);
  expect(few.high - few.low).toBeGreaterThan(learnedLife(10, turned).high - learnedLife(10, turned).low);
});
