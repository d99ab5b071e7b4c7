import { classes, foods, index, referenceRows } from '../../../tests/fixtures/reference';
import { findFood } from './findFood';
import { foodKey } from './foodKey';
import { readFoods } from './readFoods';

function found(text: string): string | string[] {
  const result = findFood(index, text);
  return 'candidates' in result ? result.candidates.map(({ id }) => id) : result.found.id;
}

describe('the reference table', () => {
  it('holds every food of the file without a fault', () => {
    const rows = referenceRows('foods');
    const read = readFoods('foods.csv', rows, classes);
    expect(read.faults).toEqual([]);
    expect(read.foods).toHaveLength(rows.length);
    expect(foods.find(({ id }) => id === 'hard-cheese')?.controlled).toBe(false);
    expect(foods.find(({ id }) => id === 'mayonnaise')?.controlled).toBe(false);
    expect(foods.find(({ id }) => id === 'trout')?.controlled).toBe(true);
  });

  it.each([
    ['an unknown class', { outage_class: 'raw-unicorn' }, 'outage_class'],
    ['a minimum over its maximum', { fridge_days_min: '9' }, 'fridge_days_min'],
    ['half a range', { opened_days_min: '3' }, 'opened_days_max'],
    ['fractions that do not add up', { water: '0.2' }, 'water'],
    ['an alias of another food', { aliases: 'Trouts, RAINBOW' }, 'aliases'],
    ['a word for a number', { thawed_days: 'two' }, 'thawed_days'],
    ['counter days on a controlled food', { counter_days_max: '2' }, 'counter_days_max'],
    ['a home nobody knows', { home: 'attic' }, 'home'],
    ['freezer months missing', { freezer_months_min: '', freezer_months_max: '' }, 'freezer_months_min'],
  ])('names file, row and column of %s', (_what, change, column) => {
    const rows = referenceRows('foods');
    const at = rows.findIndex(({ id }) => id === 'salmon');
    rows[at] = { ...rows[at], ...change };
    const rowsTold = readFoods('foods.csv', rows, classes).faults;
    // An alias clash is told at whichever of the two foods comes later.
    const clash = rows.findIndex(({ id }) => id === 'trout') + 2;
    expect(rowsTold).toContainEqual(expect.objectContaining({ file: 'foods.csv', column }));
    expect([at + 2, clash]).toContain(rowsTold[0]?.row);
  });
});

describe('what people buy', () => {
  const rows = referenceRows('foods');
  const LIKE = /^cautious judgement by likeness to ([^;,]+?)(?:, once opened to .*)?;/;
  const FIGURES = [
    ...['fridge_days_max', 'home_days_max', 'opened_days_max', 'thawed_days', 'counter_days_max'],
    'freezer_months_max',
  ];

  it('has seven hundred rows and three words for each', () => {
    expect(rows.length).toBeGreaterThanOrEqual(700);
    const few = rows.filter(({ aliases = '' }) => aliases.split('|').filter(Boolean).length < 2);
    expect(few.map(({ id }) => id)).toEqual([]);
  });

  it('keeps nothing for longer than what it was likened to, in the same class', () => {
    const byName = new Map(rows.map((row) => [foodKey(row.name ?? ''), row]));
    const likened = rows.flatMap((row) => {
      const like = byName.get(foodKey(LIKE.exec(row.source ?? '')?.[1] ?? ''));
      return like && like.id !== row.id ? [{ row, like }] : [];
    });
    expect(likened.length).toBeGreaterThanOrEqual(290);
    for (const { row, like } of likened) {
      expect([row.id, row.outage_class]).toEqual([row.id, like.outage_class]);
      for (const figure of FIGURES) {
        const [own, theirs] = [row[figure], like[figure]].map((text) =>
          text ? Number(text) : figure === 'counter_days_max' ? 0 : Infinity,
        );
        // Wine keeps by its own row once it is open.
        if (row.id !== 'wine-bottle')
          expect([row.id, figure, (own ?? 0) <= (theirs ?? 0)]).toEqual([row.id, figure, true]);
      }
    }
  });
});

describe('finding a food', () => {
  it('forgives case, plural, word order and punctuation', () => {
    expect(found('VENISON, minced')).toBe('ground-venison');
    expect(found('rainbow trouts')).toBe('trout');
    expect(found('Damson')).toBe('damsons');
    expect(found('seafood-chowder')).toBe('seafood-chowder');
  });

  it('offers candidates when several foods hold the words, and the nearest for a slip', () => {
    expect(found('stock')).toEqual(expect.arrayContaining(['broth-home', 'vegetable-stock']));
    expect(found('hadock')).toContain('haddock');
    expect(found('xyzzy')).toEqual([]);
  });
});
