import { food, foods } from '../../../tests/fixtures/reference';
import { RISKS } from '../model/food';
import { forWhom, forWhomServed, isNotFor } from './forWhom';

const usual = { marks: {}, caution: 'usual' } as const;

it.each([
  ['brie', 'pregnant', true],
  ['pate', 'pregnant', false],
  ['smoked-salmon', 'pregnant', true],
  ['mayonnaise-homemade', 'pregnant', false],
  ['beef-liver', 'pregnant', false],
  ['honey', 'under-one', false],
  ['oysters', 'over-65', true],
  ['raw-milk', 'ill', true],
  ['bean-sprouts', 'pregnant', true],
] as const)('%s is not for someone %s; cooking it through helps: %s', (id, risk, mends) => {
  const known = food(id);
  const eaters = { marks: { Tuva: [risk], Odd: [] }, caution: 'usual' } as const;
  expect(forWhom(known, eaters)).toMatch(
    mends ? /^Not for Tuva \(.+\) unless cooked through\.$/ : /^Not for Tuva \([^)]+\)\.$/,
  );
  expect(forWhom(known, eaters, false)).not.toMatch(/pregnant|under|over|ill/);
  expect([isNotFor(known, [risk]), isNotFor(known, [risk], true), isNotFor(known, [])]).toEqual([
    true,
    !mends,
    false,
  ]);
  expect(forWhom(known, usual)).toBe('');
});

it('tiles and rows leave out food that is cooked anyway, such as raw shellfish', () => {
  const eaters = { marks: { Tuva: ['pregnant'] }, caution: 'usual' } as const;
  expect([forWhomServed(food('oysters'), eaters), forWhomServed(food('brie'), eaters)]).toEqual([
    '',
    'Not for Tuva unless cooked through.',
  ]);
});

it('a careful household with nobody marked sees every warning', () => {
  const careful = { marks: {}, caution: 'careful' } as const;
  expect(forWhom(food('brie'), careful)).toBe('Not for anyone pregnant unless cooked through.');
  expect(forWhom(food('ham-sliced'), careful)).toContain('only heated through');
  for (const one of foods) expect(forWhom(one, careful) !== '' || (one.notFor ?? []).length === 0).toBe(true);
});

it('what is raw from the shell, the cow or the sprouting jar is for none of them', () => {
  for (const one of foods.filter(({ outageClass }) => outageClass === 'raw-shellfish'))
    expect([one.id, RISKS.every((risk) => isNotFor(one, [risk]))]).toEqual([one.id, true]);
});
