import { classes, foods, index, referenceRows } from '../../../tests/fixtures/reference';
import { findFood } from './findFood';
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
