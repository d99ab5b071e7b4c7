import fc from 'fast-check';
import { food } from '../../../tests/fixtures/reference';
import { planPortions, type PortionRequest } from './planPortions';
import { sharePrice } from './sharePrice';
import { splitEvenly } from './splitEvenly';

const request = (more: Partial<PortionRequest>): PortionRequest => ({
  food: food('ground-beef'),
  totalG: 3900,
  plan: { packs: 7 },
  priceMinor: 2820,
  form: 'flat',
  bag: { lengthMm: 270, widthMm: 260 },
  freezerL: 200,
  ...more,
});

const sum = (amounts: number[]): number => amounts.reduce((total, amount) => total + amount, 0);

describe('splitting and sharing', () => {
  it('adds up exactly, sizes within one gram, shares within a cent', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 200_000 }),
        fc.integer({ min: 1, max: 200 }),
        fc.integer({ min: 0, max: 1_000_000 }),
        (total, wanted, price) => {
          const parts = splitEvenly(total, Math.min(wanted, total));
          expect(sum(parts)).toBe(total);
          expect(Math.max(...parts) - Math.min(...parts)).toBeLessThanOrEqual(1);
          const shares = sharePrice(price, parts);
          expect(sum(shares)).toBe(price);
          const errors = shares.map((share, at) => Math.abs(share - (price * (parts[at] ?? 0)) / total));
          expect(Math.max(...errors)).toBeLessThan(1);
        },
      ),
      { numRuns: 2000 },
    );
  });

  it('gives the cent that is left to the largest remainder', () => {
    expect(sharePrice(100, [1, 1, 1])).toEqual([34, 33, 33]);
    expect(sharePrice(10, [6, 1])).toEqual([9, 1]);
    expect(() => sharePrice(10, [0, 0])).toThrow(RangeError);
  });
});

describe('planning portions', () => {
  it('splits 3.9 kg into seven flat packs with price, thickness and neighbours', () => {
    const { packs, alternatives, batches, warnings } = planPortions(request({}));
    expect(packs.map(({ count, amountG }) => [count, amountG])).toEqual([
      [5, 557],
      [1, 557],
      [1, 558],
    ]);
    expect(sum(packs.map(({ count, priceMinor }) => count * (priceMinor ?? 0)))).toBe(2820);
    // 557 g at 1 kg/l over 270 × 260 mm, a tenth lost in the corners: 8.8 mm.
    expect(packs[0]?.thicknessMm).toBe(8.8);
    expect(alternatives).toEqual([
      { packs: 6, largestG: 650, smallestG: 650 },
      { packs: 8, largestG: 488, smallestG: 487 },
    ]);
    expect(batches).toEqual([{ day: 1, packs: 7, grams: 3900 }]);
    expect(warnings).toEqual([]);
  });

  it('plans by size, by eaters and by parts of several forms', () => {
    const counts = (plan: PortionRequest['plan']) =>
      planPortions(request({ plan })).packs.reduce((n, { count }) => n + count, 0);
    expect(counts({ portionG: 560 })).toBe(7);
    expect(counts({ portionG: 9000 })).toBe(1);
    expect(counts({ eaters: 4, appetite: 'usual' })).toBe(7);
    const mixed = planPortions(
      request({
        plan: {
          parts: [
            { count: 3, form: 'meatballs' },
            { count: 4, form: 'flat' },
          ],
        },
      }),
    );
    expect(
      mixed.packs.filter(({ form }) => form === 'meatballs').reduce((n, { count }) => n + count, 0),
    ).toBe(3);
    expect(sum(mixed.packs.map(({ count, amountG }) => count * amountG))).toBe(3900);
  });

  it('never puts more into the freezer a day than it takes, and warns of what does not fit', () => {
    const { batches, warnings } = planPortions(request({ freezerL: 50, plan: { packs: 6 } }));
    expect(batches.map(({ grams }) => grams)).toEqual([1300, 1300, 1300]);
    expect(warnings).toEqual([]);
    expect(
      planPortions(request({ freezerL: 50, plan: { packs: 1 } })).warnings.map(({ rule }) => rule),
    ).toContain('freeze-in');
    expect(
      planPortions(request({ plan: { packs: 1 }, bag: { lengthMm: 200, widthMm: 200 } })).warnings[0]?.rule,
    ).toBe('portions');
    expect(() => planPortions(request({ totalG: 5 }))).toThrow('5 g do not make 7 packs');
  });
});
