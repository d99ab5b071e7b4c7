import { madeUpWeek, weekFaults } from '../../tests/fixtures/weeks';
import { searchedWeek } from '../core/meals/searchedWeek';
import { readWeek, weekModel } from '../core/meals/weekModel';
import { worthOfWeek } from '../core/meals/weekRules';
import { solveValues } from './solveProgram';

it('the model the search is held against keeps the same rules, and the search comes near its proven best', async () => {
  let [found, best] = [0, 0];
  for (const seed of [3, 5, 8, 13]) {
    const kase = madeUpWeek(seed, 60, 6);
    const model = weekModel(kase);
    const week = readWeek(model, await solveValues(model.lp, { seconds: 200, gap: 1e-4 }), kase);
    expect([seed, weekFaults(kase, week)]).toEqual([seed, []]);
    found += worthOfWeek(kase, searchedWeek(kase));
    best += worthOfWeek(kase, week);
  }
  expect(found).toBeGreaterThan(0.9 * best);
});
