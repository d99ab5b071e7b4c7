import fc from 'fast-check';
import { food } from '../../../tests/fixtures/reference';
import { LINE } from '../../../tests/fixtures/memoryStore';
import { sharePrice } from '../portions/sharePrice';
import {
  addPart,
  countPart,
  countPacks,
  halve,
  moveCut,
  partsOf,
  type Planned,
  splitAsLast,
  splitLine,
  weighPack,
} from './planLine';

const lamb = food('ground-lamb');
const FLAT = { packing: 'flat', container: null, goes: 'freezer' as const, zone: null };
const plan = (amount: number, amounts: number[], more: Partial<Planned> = {}): Planned => ({
  amount,
  unit: 'g',
  pieces: null,
  parts: [{ ...FLAT, amounts }],
  ...more,
});
const amounts = (parts: Planned['parts']) => parts.map((part) => part.amounts);
const sum = (parts: Planned['parts']): number =>
  parts.flatMap((part) => part.amounts).reduce((all, one) => all + one, 0);

describe('planning the packs of a line', () => {
  it('3.9 kg into seven, three of them meatballs, then eight; nothing is lost between', () => {
    const seven = splitLine(plan(3900, [3900]), { packs: 7 }, lamb);
    expect(amounts(seven)).toEqual([[557, 557, 557, 557, 557, 557, 558]]);
    const two = addPart(plan(3900, [], { parts: seven }), { ...FLAT, packing: 'meatballs' });
    expect(two.map(({ packing, amounts: all }) => [packing, all.length])).toEqual([
      ['flat', 4],
      ['meatballs', 3],
    ]);
    const eight = splitLine(plan(3900, [], { parts: two }), { packs: 8 }, lamb);
    expect(eight.map((part) => part.amounts.length)).toEqual([5, 3]);
    expect(countPart(plan(3900, [], { parts: two }), 1, 0)).toHaveLength(1);
    expect(amounts(splitLine(plan(3900, [3900]), { eaters: 4, appetite: 'usual' }, lamb))[0]).toHaveLength(7);
  });

  it('halves to fridge and freezer, moves a cut, weighs a pack, splits as the last time', () => {
    const half = halve(plan(1201, [600, 601]), food('haddock'));
    expect(half.map(({ goes, packing, amounts: all }) => [goes, packing, all])).toEqual([
      ['fridge', 'as-it-is', [600]],
      ['freezer', 'flat', [601]],
    ]);
    expect(amounts(moveCut(plan(900, [300, 300, 300]), 1, 50))).toEqual([[300, 350, 250]]);
    expect(amounts(moveCut(plan(900, [300, 300, 300]), 0, -999))).toEqual([[1, 599, 300]]);
    expect(amounts(weighPack(plan(900, [300, 300, 300]), 0, 320) ?? [])).toEqual([[320, 290, 290]]);
    expect(weighPack(plan(900, [300, 300, 300]), 0, 899)).toBeNull();
    expect(weighPack(plan(900, [300, 300, 300]), 2, 320)).toBeNull();
    const last = {
      amount: 2000,
      unit: 'g' as const,
      parts: [
        { ...FLAT, amounts: [500, 500], zone: 'old' },
        { ...FLAT, packing: 'meatballs', amounts: [500, 500] },
      ],
    };
    const again = splitAsLast(plan(3000, [3000]), last);
    expect(again.map(({ packing, amounts: all, zone }) => [packing, all, zone])).toEqual([
      ['flat', [500, 500, 500], null],
      ['meatballs', [500, 500, 500], null],
    ]);
  });

  it('a typed line gives its packing and where it goes', () => {
    const told = (more: object, id = 'ground-lamb') =>
      partsOf({ ...LINE, zone: null, amount: 1000, packs: 1, form: null, ...more }, food(id), null)[0];
    expect(told({ packs: 7, form: 'flat' })).toMatchObject({ goes: 'freezer', packing: 'flat' });
    expect(told({ packs: 4 })).toMatchObject({ goes: 'freezer', packing: 'flat' });
    expect(told({})).toMatchObject({ goes: 'fridge', packing: 'as-it-is' });
    expect(told({}, 'bread')).toMatchObject({ goes: 'room', packing: 'as-it-is' });
    expect(told({ wrap: 'jar' }, 'seafood-chowder')).toMatchObject({ goes: 'freezer', packing: 'jar' });
    expect(told({ packs: 2 }, 'lettuce')).toMatchObject({ goes: 'fridge' });
  });

  it('whatever is done to a plan, grams and money add up exactly (10,000 plans)', () => {
    const step = fc.record({
      act: fc.constantFrom('split', 'size', 'eaters', 'form', 'count', 'half', 'cut', 'weigh'),
      n: fc.integer({ min: 1, max: 40 }),
      at: fc.integer({ min: 0, max: 6 }),
    });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20_000 }),
        fc.option(fc.integer({ min: 1, max: 40 })),
        fc.integer({ min: 0, max: 100_000 }),
        fc.array(step, { maxLength: 6 }),
        (amount, pieces, price, steps) => {
          let line = plan(amount, [amount], { pieces: pieces === null ? null : Math.min(pieces, amount) });
          for (const { act, n, at } of steps) {
            const next = {
              split: () => splitLine(line, { packs: n }, lamb),
              size: () => splitLine(line, { portionG: n * 20 }, lamb),
              eaters: () => splitLine(line, { eaters: n, appetite: 'usual' }, lamb),
              form: () =>
                countPacks(line) < Math.min(amount, line.pieces ?? amount) && line.parts.length < 3
                  ? addPart(line, FLAT)
                  : line.parts,
              count: () => line.parts,
              half: () => (amount > 2 && line.pieces === null ? halve(line, lamb) : line.parts),
              cut: () => moveCut(line, at, n - 20),
              weigh: () => weighPack(line, 0, n) ?? line.parts,
            }[act]();
            line = { ...line, parts: next };
          }
          expect(sum(line.parts)).toBe(amount);
          const all = line.parts.flatMap((part) => part.amounts);
          expect(Math.min(...all)).toBeGreaterThanOrEqual(1);
          expect(sharePrice(price, all).reduce((total, one) => total + one, 0)).toBe(price);
        },
      ),
      { numRuns: 10_000 },
    );
  });
});
