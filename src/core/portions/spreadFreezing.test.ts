import fc from 'fast-check';
import { type FreezingPack, spreadFreezing } from './spreadFreezing';

const pack = (id: string, more: Partial<FreezingPack> = {}): FreezingPack => ({
  id,
  name: `Pack ${id}`,
  grams: 500,
  daysLeft: 2,
  thicknessMm: 20,
  ...more,
});
const anyPack = fc.record({
  grams: fc.integer({ min: 1, max: 3000 }),
  daysLeft: fc.option(fc.integer({ min: 0, max: 9 })),
  thicknessMm: fc.option(fc.integer({ min: 5, max: 90 })),
});

describe('the freeze-in limit', () => {
  it('no day ever takes more than the limit, every pack has one day, and only too large a pack has one of its own', () => {
    fc.assert(
      fc.property(
        fc.array(anyPack, { maxLength: 40 }),
        fc.integer({ min: 100, max: 6400 }),
        fc.integer({ min: 0, max: 6400 }),
        (told, limit, used) => {
          const packs = told.map((one, at) => pack(String(at), one));
          const { days, warnings } = spreadFreezing(packs, limit, used);
          const ids = days.flatMap((day) => day.ids);
          expect([...ids].sort()).toEqual(packs.map(({ id }) => id).sort());
          for (const { day, ids: some, grams } of days) {
            const mine = some.map((id) => packs[Number(id)]?.grams ?? 0);
            expect(mine.reduce((sum, one) => sum + one, 0)).toBe(grams);
            const there = grams + (day === 1 ? used : 0);
            if (there > limit) {
              expect(some).toHaveLength(1);
              expect(warnings.some(({ id, says }) => id === some[0] && /smaller packs/.test(says))).toBe(
                true,
              );
            }
          }
        },
      ),
      { numRuns: 2000 },
    );
  });

  it('what spoils quickest goes first, thin before thick, and what cannot wait is named', () => {
    const packs = [
      pack('bread', { daysLeft: null }),
      pack('thick', { daysLeft: 1, thicknessMm: 40 }),
      pack('thin', { daysLeft: 1, thicknessMm: 10 }),
      pack('last', { daysLeft: 0, thicknessMm: null }),
    ];
    expect(spreadFreezing(packs, 500).days.map(({ ids }) => ids)).toEqual([
      ['last'],
      ['thin'],
      ['thick'],
      ['bread'],
    ]);
    expect(spreadFreezing(packs, 500).warnings).toEqual([
      {
        id: 'thick',
        says: 'Pack thick would wait 2 days for its turn, past its use by: cook it, or freeze it elsewhere.',
      },
    ]);
    // 200 litres take 6,400 g a day; 4 kg went in already.
    expect(spreadFreezing([pack('a', { grams: 2400 }), pack('b', { grams: 2400 })], 6400, 4000).days).toEqual(
      [
        { day: 1, ids: ['a'], grams: 2400 },
        { day: 2, ids: ['b'], grams: 2400 },
      ],
    );
  });
});
