import { food } from '../../../tests/fixtures/reference';
import { USUAL_CONDITIONS } from '../model/history';
import { judgeKeeping } from './judgeKeeping';
import { whatIf } from './whatIf';

const ask = (id: string, days = 5, dish: string | null = null) =>
  whatIf(
    food(id),
    [{ did: 'bought', on: '2027-03-01' }],
    USUAL_CONDITIONS,
    '2027-03-01',
    days,
    dish === null ? null : food(dish),
  ).map(({ choice, on, governing, refused }) => [choice, on.slice(5), governing?.date ?? refused]);

it('tells the date of every choice, and stops freezing where it is too late', () => {
  expect(ask('ground-beef', 5, 'stew')).toEqual([
    ['leave', '03-01', '2027-03-03'],
    ['open', '03-01', '2027-03-03'],
    ['freeze', '03-01', '2027-06-16'],
    ['freeze', '03-02', '2027-06-17'],
    ['freeze', '03-03', '2027-06-18'],
    ['freeze', '03-04', 'Its use by was 3 Mar 2027: too late to freeze, throw it out.'],
    ['cook', '03-01', '2027-03-05'],
  ]);
});

it('tells once that a food does not freeze', () => {
  expect(ask('lettuce').filter(([choice]) => choice === 'freeze')).toHaveLength(1);
});

it('offers frozen food to be left or thawed, with the dates the real events give', () => {
  const history = [
    { did: 'bought' as const, on: '2027-03-01' },
    { did: 'frozen' as const, on: '2027-03-01' },
  ];
  const [leave, thaw] = whatIf(food('venison'), history, USUAL_CONDITIONS, '2027-04-01', 3, null);
  expect(leave?.governing?.date).toBe('2027-10-16');
  const real = judgeKeeping(
    food('venison'),
    [...history, { did: 'thawing', on: '2027-04-01' }],
    '2027-04-01',
  );
  expect(thaw?.governing).toEqual(real.governing);
});

it('does not offer cooking as a way out once the use by has gone', () => {
  const late = whatIf(
    food('trout'),
    [{ did: 'bought', on: '2027-03-01' }],
    USUAL_CONDITIONS,
    '2027-03-09',
    1,
    food('fish-cooked'),
  );
  expect(late.at(-1)).toMatchObject({
    choice: 'cook',
    governing: null,
    refused: expect.stringMatching(/Throw it out/),
  });
});
