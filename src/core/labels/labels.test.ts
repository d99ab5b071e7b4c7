import fc from 'fast-check';
import { food, foods } from '../../../tests/fixtures/reference';
import soldFrozen from '../foods/soldFrozen.json';
import eating from './eating.json';
import { LABEL_SIZES, labelPlaces } from './labelPlaces';
import { codeNumber } from './codeNumber';
import { packageCode } from './packageCode';
import { thenDo } from './thenDo';

describe('package codes', () => {
  it('never come twice, are short, and use no letter that is mistaken for a digit', () => {
    const many = 60_000;
    const codes = new Set(Array.from({ length: many }, (_, n) => packageCode(n)));
    expect(codes.size).toBe(many);
    expect([...codes].every((code) => /^[A-HJ-NP-Z]{2}[2-9]{2,3}$/.test(code))).toBe(true);
    expect(packageCode(36_863)).toHaveLength(4);
    expect(packageCode(36_864)).toHaveLength(5);
  });
});

it('a code tells its number, and what is no code tells none', () => {
  fc.assert(
    fc.property(fc.oneof(fc.nat(50_000), fc.nat(100_000_000)), (n) => codeNumber(packageCode(n)) === n),
    { numRuns: 2000 },
  );
  for (const odd of ['', 'AB', 'AB2', 'IO22', 'AB10', 'ab22', 'AB22X', '2222'])
    expect(codeNumber(odd)).toBeNull();
});

describe('places of labels', () => {
  it.each(LABEL_SIZES.map((size) => [size.id, size] as const))(
    '%s: every sticker lies on its page',
    (_id, size) => {
      const perPage = size.columns * size.rows;
      const places = labelPlaces(size, perPage + 1, 1);
      expect(places.at(-1)).toEqual({ page: 1, xMm: size.leftMm, yMm: size.topMm });
      for (const { xMm, yMm } of places) {
        expect(xMm + size.stickerMm[0]).toBeLessThanOrEqual(size.pageMm[0] + 0.01);
        expect(yMm + size.stickerMm[1]).toBeLessThanOrEqual(size.pageMm[1] + 0.01);
      }
    },
  );

  it('begin at a later sticker of the first sheet only', () => {
    const [sheet] = LABEL_SIZES;
    if (!sheet) throw new Error('no sizes');
    expect(labelPlaces(sheet, 20, 3).map(({ page }) => page)).toEqual([...Array(19).fill(0), 1]);
    expect(() => labelPlaces(sheet, 1, 22)).toThrow(RangeError);
  });
});

describe('what to do next', () => {
  const clock = { openDays: null, thawDays: null };
  it.each([
    ['trout', { state: 'frozen', thawDays: 1 }, 'thaw in the fridge, use within 1 d; cook to 63 °C'],
    [
      'chicken-thighs-raw',
      { state: 'frozen', thawDays: 0 },
      'thaw in the fridge, use the same day; cook to 74 °C',
    ],
    ['quark', { state: 'chilled', openDays: 3 }, 'open: within 3 d'],
    ['raspberries', { state: 'chilled' }, 'wash just before use'],
    ['bread', { state: 'frozen' }, 'use from frozen or thaw'],
    ['stew', { state: 'thawing' }, 'on a plate, low in the fridge; reheat to 74 °C'],
    ['jam', { state: 'chilled' }, 'keep cold, eat as it is'],
    ['eggs-in-shell', { state: 'chilled' }, 'cook until white and yolk are firm'],
    ['pesto', { state: 'chilled' }, 'stir in, do not boil'],
    ['frozen-vegetables', { state: 'frozen', thawDays: 1 }, 'cook from frozen; cook before eating'],
    ['ice-cream', { state: 'frozen', thawDays: 1 }, 'keep frozen, eat as it is'],
    ['beef-steak', { state: 'chilled' }, 'cook to 63 °C, rest 3 min'],
    ['ground-beef', { state: 'chilled' }, 'cook to 71 °C'],
  ] as const)('%s, %o', (id, standing, says) => {
    expect(thenDo(food(id), { ...clock, ...standing })).toBe(says);
  });

  it('names only foods and groups of the table', () => {
    const ids = new Set(foods.map(({ id }) => id));
    const groups = new Set(foods.map(({ group }) => group));
    expect(
      [...Object.keys(eating.own), ...Object.keys(eating.fromFrozen)].filter((id) => !ids.has(id)),
    ).toEqual([]);
    expect(
      [...Object.keys(eating.cook), ...Object.keys(eating.serve)].filter((id) => !groups.has(id)),
    ).toEqual([]);
    expect(soldFrozen.filter((id) => !ids.has(id))).toEqual([]);
  });
});
