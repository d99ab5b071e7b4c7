import fc from 'fast-check';
import { LUMP_WORLD, plantedLump } from '../../../tests/fixtures/lumps';
import { rankLump } from './rankLump';

/** The same lot packed alike: nobody could tell them apart, and their label says the same. */
const says = ({ row }: { row: { lotId: string; amount: number } }): string => `${row.lotId} ${row.amount}`;

it('of 400 planted lumps the true one stands first in at least seven of ten, and how sure is no boast', () => {
  let [right, sureOnes, sureRight] = [0, 0, 0];
  for (let seed = 1; seed <= 400; seed++) {
    const { candidates, seen, truth } = plantedLump(seed);
    const { ranked } = rankLump(candidates, seen, LUMP_WORLD);
    const [first] = ranked;
    if (!first) throw new Error('nothing ranked');
    const hit = says(first.candidate) === says(truth);
    if (hit) right += 1;
    const sure = ranked
      .filter(({ candidate }) => says(candidate) === says(first.candidate))
      .reduce((sum, one) => sum + one.sure, 0);
    if (sure < 0.8) continue;
    sureOnes += 1;
    if (hit) sureRight += 1;
  }
  expect(right / 400).toBeGreaterThanOrEqual(0.7);
  // Where it says four of five or more, it is right at least that often.
  expect(sureOnes).toBeGreaterThan(40);
  expect(sureRight / sureOnes).toBeGreaterThanOrEqual(0.8);
});

it('shares add up to one, the order is theirs, and each has its reasons', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
      const { candidates, seen } = plantedLump(seed);
      const { ranked, stranger } = rankLump(candidates, seen, LUMP_WORLD);
      expect(ranked).toHaveLength(candidates.length);
      expect(ranked.reduce((sum, { sure }) => sum + sure, stranger)).toBeCloseTo(1, 6);
      for (const [at, { sure, reasons }] of ranked.entries()) {
        expect(sure).toBeLessThanOrEqual(ranked[at - 1]?.sure ?? 1);
        expect(reasons.length).toBeGreaterThan(0);
      }
    }),
    { numRuns: 60 },
  );
});

it('nothing seen makes nobody sure, and one thing more that fits makes the true one surer', () => {
  const { candidates, seen, truth } = plantedLump(7);
  const blind = { ...seen, grams: null, colour: null, wrap: null, zoneId: null, frost: null, since: null };
  const nothing = { ...blind, neighbourLots: [], neighbourDays: [] };
  const of = (told: typeof seen): number =>
    rankLump(candidates, told, LUMP_WORLD).ranked.find(({ candidate }) => candidate === truth)?.sure ?? 0;
  expect(of(nothing)).toBeLessThan(0.1);
  const weighed = { ...nothing, grams: truth.row.amount };
  expect(of(weighed)).toBeGreaterThan(of(nothing));
  expect(of({ ...weighed, since: truth.row.startOn })).toBeGreaterThan(of(weighed));
});
