import { stockRun } from '../fixtures/stockRun';

it('several clients tell everything that happens to food, right and wrong, while the server is killed: the ledger adds up', async () => {
  const { wrong, done } = await stockRun(900, 2, 7);
  expect(wrong).toEqual([]);
  const kinds = [
    'take',
    'open',
    'split',
    'merge',
    'pour',
    'prepare',
    'relabel',
    'correct',
    'keep-for',
    'lose',
  ];
  expect(kinds.filter((kind) => !done[`package.${kind}`])).toEqual([]);
  expect(Object.keys(done)).toEqual(expect.arrayContaining(['meal.set', 'round.begin', 'reset.begin']));
  expect(Object.keys(done).length).toBeGreaterThan(15);
});
