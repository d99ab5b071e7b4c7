import fc from 'fast-check';
import { sayPackSizes } from '../portions/sayPackSizes';
import { index } from '../../../tests/fixtures/reference';
import { completeQuickLine } from './completeQuickLine';
import { parseQuickLine } from './parseQuickLine';
import type { QuickVocabulary } from './quickLine';
import { severalThings } from './severalThings';

const vocabulary: QuickVocabulary = {
  foods: index,
  today: '2026-11-25',
  zones: [
    { id: 'z1', name: 'Layer 1', appliance: 'Boat-shed chest', cold: 'freezer' },
    { id: 'z2', name: 'Layer 2', appliance: 'Boat-shed chest', cold: 'freezer' },
    { id: 'z3', name: 'Top shelf', appliance: 'Larder fridge', cold: 'fridge' },
    { id: 'z4', name: 'Top shelf', appliance: 'Cellar fridge', cold: 'fridge' },
    { id: 'z5', name: 'Leaf drawer', appliance: 'Larder fridge', cold: 'fridge' },
  ],
};

const read = (text: string) => parseQuickLine(text, vocabulary);
const faultOf = (text: string) =>
  read(text)
    .faults.map(({ says }) => says)
    .join(' ');

describe('reading a line', () => {
  it.each([
    [
      'trout 1.6 kg / 4 flat > layer 1',
      {
        food: 'trout',
        called: 'Trout',
        amount: 1600,
        unit: 'g',
        packs: 4,
        form: 'flat',
        zone: 'z1',
        frozenOn: '2026-11-25',
        start: { did: 'bought', on: '2026-11-25' },
      },
    ],
    ['tomato paste 360 g scored', { food: 'tomato-paste', amount: 360, form: 'scored' }],
    ['milk 2 l opened', { food: 'milk', amount: 2000, unit: 'ml', openedOn: '2026-11-25', zone: null }],
    ['leeks 600 g bought mon', { food: 'leeks', amount: 600, start: { did: 'bought', on: '2026-11-23' } }],
    [
      'chowder 3 l cooked yesterday / 6 jar frozen @ 9.60',
      {
        food: 'seafood-chowder',
        packs: 6,
        wrap: 'jar',
        priceMinor: 960,
        start: { did: 'cooked', on: '2026-11-24' },
        frozenOn: '2026-11-25',
      },
    ],
    [
      'Eggs 14 use by 3 dec',
      { food: 'eggs-in-shell', amount: 14, unit: 'pc', printed: { kind: 'use-by', date: '2026-12-03' } },
    ],
    ['quark 3 x 500 g €2.60 > leaf', { amount: 1500, packs: 3, priceMinor: 260, zone: 'z5' }],
    [
      'kale 1,5 kg / 3 loose raw frozen 20 nov',
      {
        amount: 1500,
        form: 'loose',
        blanched: false,
        frozenOn: '2026-11-20',
        start: { did: 'bought', on: '2026-11-20' },
      },
    ],
    [
      'trout 1.6 kg / 4 flat → layer 1, today',
      { packs: 4, zone: 'z1', start: { did: 'bought', on: '2026-11-25' } },
    ],
    [
      'milk 2 pints best before 12/3/27',
      { amount: 1137, printed: { kind: 'best-before', date: '2027-03-12' } },
    ],
    ['venison 1 lb vacuum > chest layer 2', { amount: 454, wrap: 'vacuum', zone: 'z2' }],
    [
      'bannocks baked yesterday',
      { food: 'bannocks', amount: 1, unit: 'pc', start: { did: 'cooked', on: '2026-11-24' } },
    ],
    ['butter 500 g / 2 > top shelf larder', { zone: 'z3' }],
    ['butter 500 g > counter', { zone: null }],
  ])('%s', (text, expected) => {
    const reading = read(text);
    expect(reading.faults).toEqual([]);
    expect(reading.line).toMatchObject(expected);
  });

  it('colours every stretch by what it means', () => {
    const { parts, text } = read('trout 1.6 kg / 4 flat > layer 1');
    expect(parts.map(({ meaning, from, to }) => [meaning, text.slice(from, to)])).toEqual([
      ['food', 'trout'],
      ['amount', '1.6 kg'],
      ['packs', '/ 4'],
      ['form', 'flat'],
      ['place', '> layer 1'],
    ]);
  });

  it.each([
    ['unicorn 1 kg', 'not known as a food'],
    ['trout 0 kg', 'more than zero'],
    ['trout -3 kg', 'more than zero'],
    ['trout 1000 kg', '200 kg'],
    ['trout 1 kg / 500', '200 at most'],
    ['trout 1 kg / 0', 'whole numbers from 1'],
    ['trout 3 g / 4', 'does not make 4 packs'],
    ['trout 1 kg use by 31 feb', 'does not exist'],
    ['trout 1 kg bought 30.2.', 'does not exist'],
    ['trout 1 kg bought tomorrow', 'still to come'],
    ['trout 1 kg > attic', 'no such zone'],
    ['butter 500 g > top shelf', 'Several zones'],
    ['trout 1 kg <b>hi</b>', 'was not understood'],
    ["trout 1 kg '; DROP TABLE package; --", 'was not understood'],
    ['trout 1 kg 🐟', 'was not understood'],
    ['trout 1 kg مرحبا', 'was not understood'],
    ['trout 1 kg 2 kg', 'second amount'],
  ])('says what is wrong with “%s” and stores nothing', (text, words) => {
    expect(faultOf(text)).toContain(words);
    expect(read(text).line).toBeNull();
  });

  it('offers the nearest food for a slip, and all of several', () => {
    expect(read('hadock 1 kg').parts[0]).toMatchObject({
      says: 'Haddock, raw (from “hadock”)',
      guessed: true,
    });
    expect(read('stock 1 l').faults[0]?.candidates.length).toBeGreaterThan(2);
    expect(read('butter 1 kg > top shelf').faults[0]?.candidates).toEqual([
      '> Top shelf Larder fridge',
      '> Top shelf Cellar fridge',
    ]);
  });
});

describe('finishing a line', () => {
  it('knows foods, zones and words', () => {
    expect(completeQuickLine('venis', vocabulary)[0]).toContain('venison');
    expect(completeQuickLine('trout 1 kg > lay', vocabulary)).toEqual([
      'trout 1 kg > layer 1 ',
      'trout 1 kg > layer 2 ',
    ]);
    expect(completeQuickLine('trout 1 kg vac', vocabulary)).toEqual(['trout 1 kg vacuum ']);
    expect(completeQuickLine('butter 1 kg > top', vocabulary)[0]).toBe(
      'butter 1 kg > top shelf larder fridge ',
    );
  });
});

it('no order of words, and nothing that is offered for it, ends in anything but an answer: packs are whole numbers', () => {
  const word = fc.constantFrom(
    ...[
      'quark',
      'mince',
      'eggs',
      'broth',
      'frozen',
      'cooked',
      'yesterday',
      'each',
      'in all',
      'jars',
      'boxes',
      'cubes',
      'flat',
    ],
    ...[
      '500 g',
      '1.5 kg',
      '2 lb',
      '300 ml',
      '1.80',
      '0.5',
      '2',
      '12',
      '1 ½',
      'half a',
      'a dozen',
      '-3',
      '0',
      '999999',
    ],
    ...[
      'x',
      '×',
      '/',
      '@',
      '€',
      '>',
      'layer 1',
      'door',
      'bb 4 dec',
      'ub',
      'for sat',
      'like',
      'in',
      'of',
      ',',
      '/ 1.8',
      '× 1.8',
      'x3',
    ],
  );
  fc.assert(
    fc.property(fc.array(word, { minLength: 1, maxLength: 8 }), (words) => {
      const text = words.join(' ');
      const first = read(text);
      const offered = first.faults
        .flatMap(({ from, to, candidates }) =>
          candidates.map((one) => `${text.slice(0, from)}${one}${text.slice(to)}`),
        )
        .slice(0, 6);
      for (const line of [first.line, ...offered.map((one) => read(one).line)]) {
        if (!line) continue;
        expect([text, Number.isInteger(line.packs), line.packs >= 1, Number.isInteger(line.amount)]).toEqual([
          ...[text, true, true, true],
        ]);
        expect(() => sayPackSizes(line.amount, line.packs, line.unit)).not.toThrow();
      }
    }),
    { numRuns: 3000 },
  );
});

describe('several things in one line', () => {
  const things = (text: string) =>
    severalThings(text, vocabulary).map(({ line }) => `${line?.food} ${line?.amount}${line?.unit}`);
  it('are read one by one, or not at all', () => {
    expect(things('milk 2 l, a dozen eggs and butter 250 g')).toEqual([
      'milk 2000ml',
      'eggs-in-shell 12pc',
      'butter 250g',
    ]);
    expect(things('milk 2 l, xyzzy 3 kg')).toEqual([]);
    expect(things('trout 1.6 kg')).toEqual([]);
  });
});
