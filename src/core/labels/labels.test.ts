import { food } from '../../../tests/fixtures/reference';
import { LABEL_SIZES, labelPlaces } from './labelPlaces';
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
  it.each([
    ['trout', 'frozen', false, 'thaw in the fridge, use within 1 d; cook to 63 °C'],
    ['quark', 'chilled', true, 'open: within 5 d'],
    ['raspberries', 'chilled', false, 'wash just before use'],
    ['bread', 'frozen', false, 'use from frozen or thaw'],
    ['stew', 'thawing', false, 'on a plate, low in the fridge; reheat to 74 °C'],
    ['jam', 'chilled', false, 'keep cold, eat as it is'],
  ] as const)('%s, %s, opened %s', (id, state, opened, says) => {
    expect(thenDo(food(id), state, opened)).toBe(says);
  });
});
