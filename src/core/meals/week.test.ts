import { madeUpWeek, weekFaults } from '../../../tests/fixtures/weeks';
import { greedyWeek } from './greedyWeek';
import { solvedWeek } from './solvedWeek';
import { sayWeek } from './suggestion';
import { savedGrams } from './weekRules';

it('in 1,000 made-up stocks nothing is eaten after its date or before an older equal, and less is wasted than by the oldest alone', () => {
  let [better, worse] = [0, 0];
  for (let seed = 1; seed <= 1000; seed++) {
    const kase = madeUpWeek(seed, 40 + (seed % 60), 6 + (seed % 9));
    const [solved, greedy] = [solvedWeek(kase, 200), greedyWeek(kase)];
    expect([seed, weekFaults(kase, solved), weekFaults(kase, greedy)]).toEqual([seed, [], []]);
    const gain = savedGrams(kase, solved) - savedGrams(kase, greedy);
    if (gain > 0) better += 1;
    if (gain < 0) worse += 1;
  }
  expect(worse).toBe(0);
  expect(better).toBeGreaterThan(500);
});

it('an empty kitchen has no week; what is suggested says what would not last', () => {
  const kase = madeUpWeek(4, 50, 4);
  expect(solvedWeek({ ...kase, packs: [] })).toEqual([]);
  expect(solvedWeek({ ...kase, meals: [] })).toEqual([]);
  const uses = solvedWeek(kase, 300);
  const told = sayWeek(kase, uses, '2026-11-25');
  expect(told.flatMap(({ takes }) => takes).length).toBe(uses.length);
  expect(told.some(({ saves }) => /g that would not last the week; .* first, /.test(saves))).toBe(true);
});
