import fc from 'fast-check';
import { food } from '../../../tests/fixtures/reference';
import { heatHours } from '../thermal/heatHours';
import { FREEZE_MEDIA } from '../thermal/heatMedia';
import { thermalFood } from '../thermal/thermalFood';
import { layoutShape, packLayout } from './packLayout';
import { PACKINGS, packingOf, packingsFor } from './packing';
import { sharePrice } from './sharePrice';
import { splitPieces } from './splitPieces';

const lay = (packing: string, amount: number, id: string, unit: 'g' | 'ml' | 'pc' = 'g') =>
  packLayout(packingOf(packing), { amount, unit }, food(id), null);
const sum = (amounts: number[]): number => amounts.reduce((all, one) => all + one, 0);

describe('how a pack lies in its wrap', () => {
  it('by hand: a flat bag, score lines, a jar, cubes, a tray, a stack, a log', () => {
    // 557 g at 1.05 kg/l are 530 ml over 270 × 260 mm less a tenth: 8.4 mm.
    const flat = lay('flat', 557, 'ground-lamb');
    expect(flat).toMatchObject({ kind: 'flat', rows: 1, columns: 1 });
    expect(flat.kind === 'flat' && flat.thicknessMm).toBeCloseTo(
      ((557 / food('ground-lamb').densityKgPerL) * 1000) / (270 * 260 * 0.9),
      6,
    );
    expect(lay('scored', 560, 'ground-lamb')).toMatchObject({ rows: 2, columns: 2, snapG: 140 });
    expect(lay('jar', 400, 'seafood-chowder', 'ml')).toMatchObject({
      headspaceMm: 19,
      fillMl: 424,
      packMl: 400,
    });
    expect(lay('oil-cubes', 200, 'parsley', 'ml')).toMatchObject({ cavityMl: 15, cavities: 14, trays: 1 });
    expect(lay('slices', 8, 'bread', 'pc')).toMatchObject({ kind: 'stack', pieces: 8, papers: 7 });
    // 30 × 25 mm is 300 mm: 12 across, 8 deep; 100 berries take two layers with one paper.
    expect(lay('tray', 100, 'raspberries', 'pc')).toMatchObject({ across: 12, layers: 2, papers: 1 });
    expect(lay('log', 250, 'butter')).toMatchObject({ kind: 'log', diameterMm: 45 });
  });

  it('every packing of every kind of food freezes in a time the heat model can tell', () => {
    for (const id of [
      'ground-lamb',
      'seafood-chowder',
      'parsley',
      'raspberries',
      'bread',
      'chicken-whole',
      'butter',
      'kale',
    ]) {
      expect(packingsFor(food(id)).every((one) => packingOf(one).id === one)).toBe(true);
      for (const { id: packing } of PACKINGS) {
        const { hoursTypical } = heatHours({
          way: 'freeze',
          food: thermalFood(food(id)),
          massG: 500,
          shape: layoutShape(lay(packing, 500, id)),
          startC: 4,
          medium: FREEZE_MEDIA.still,
          ambientC: -18,
        });
        expect(hoursTypical).toBeGreaterThan(0);
      }
    }
  });

  it('a jar filled to its line never overflows: what freezes stays below the rim', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 50, max: 3000 }),
        fc.constantFrom('jar', 'glass', 'tub'),
        fc.constantFrom('seafood-chowder', 'broth-home', 'milk', 'raspberries', 'fruit-juice'),
        (amount, packing, id) => {
          const layout = lay(packing, amount, id, 'ml');
          if (layout.kind !== 'vessel') throw new Error('not a vessel');
          const grown = layout.fillMl * (1 + 0.09 * food(id).composition.water);
          expect(grown).toBeLessThanOrEqual(layout.capacityMl);
          expect(layout.headspaceMm).toBeGreaterThanOrEqual(13);
        },
      ),
      { numRuns: 1000 },
    );
  });
});

describe('pieces that are never cut', () => {
  it('14 thighs in 4 packs: 4, 4, 3 and 3', () => {
    expect(splitPieces(1400, 14, 4).map(({ pieces, amount }) => [pieces, amount])).toEqual([
      [4, 400],
      [4, 400],
      [3, 300],
      [3, 300],
    ]);
    expect(() => splitPieces(500, 2, 3)).toThrow(RangeError);
  });

  it('grams, pieces and money add up exactly over 10,000 plans', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 100, max: 200_000 }),
        fc.integer({ min: 0, max: 1_000_000 }),
        (pieces, wanted, total, price) => {
          const packs = splitPieces(total, pieces, Math.min(wanted, pieces));
          expect(sum(packs.map((one) => one.pieces))).toBe(pieces);
          const amounts = packs.map(({ amount }) => amount);
          expect(sum(amounts)).toBe(total);
          expect(sum(sharePrice(price, amounts))).toBe(price);
        },
      ),
      { numRuns: 10_000 },
    );
  });
});
