import fc from 'fast-check';
import { food } from '../../../tests/fixtures/reference';
import { composts } from './composts';
import { makeRoom, type RoomDeed } from './makeRoom';
import { type GivenPackage, mayGive } from './mayGive';

const TODAY = '2026-11-25';
const YOGURT: GivenPackage = {
  ...{ state: 'chilled', openedOn: null, counterMinutes: 0, did: 'bought' },
  ...{ useBy: '2026-12-01', governingDate: '2026-12-01', governingKind: 'use-by' },
};

it('a pantry has what was bought, is closed, in date and of its kinds; neighbours what is sound and closed; nobody the rest', () => {
  const may = (change: Partial<GivenPackage>, group = 'dairy', sound = true) =>
    mayGive({ ...YOGURT, ...change }, { group }, TODAY, sound);
  expect(may({})).toEqual({ pantry: true, neighbours: true, until: '2026-12-01', why: '' });
  expect(may({ did: 'cooked' }, 'leftovers')).toMatchObject({
    pantry: false,
    neighbours: true,
    why: 'homemade',
  });
  expect(may({ governingDate: '2026-11-26', useBy: '2026-11-26' })).toMatchObject({
    pantry: false,
    why: expect.stringContaining('near') as string,
  });
  expect(may({}, 'raw-fish')).toMatchObject({
    pantry: false,
    why: expect.stringContaining('kind') as string,
  });
  expect(may({ counterMinutes: 20 })).toMatchObject({ pantry: false });
  const nobody: Partial<GivenPackage>[] = [
    { openedOn: TODAY },
    { useBy: TODAY, governingDate: TODAY },
    { state: 'thawing' },
  ];
  for (const change of nobody) expect(may(change)).toBeNull();
  expect(may({}, 'dairy', false)).toBeNull();
});

it('compost takes plants, nothing cooked or of animals', () => {
  expect(['carrots', 'apples', 'parsley'].map((id) => composts(food(id)))).toEqual([true, true, true]);
  expect(['stew', 'trout', 'milk', 'hard-cheese', 'chicken-cooked'].map((id) => composts(food(id)))).toEqual(
    Array(5).fill(false),
  );
});

it('room is made by what costs least, each package once, nothing that is not needed', () => {
  const deed = fc.record<RoomDeed>({
    package: fc.constantFrom('a', 'b', 'c', 'd', 'e', 'f', 'g'),
    deed: fc.constantFrom('bin', 'out', 'repack', 'eat'),
    litres: fc.double({ min: 0.05, max: 6, noNaN: true }),
    daysLeft: fc.integer({ min: 0, max: 30 }),
  });
  fc.assert(
    fc.property(
      fc.array(deed, { maxLength: 12 }),
      fc.double({ min: 0.5, max: 20, noNaN: true }),
      (deeds, wanted) => {
        const { deeds: plan, litres, short } = makeRoom(deeds, wanted);
        expect(new Set(plan.map((one) => one.package)).size).toBe(plan.length);
        expect(litres).toBeCloseTo(plan.reduce((sum, one) => sum + one.litres, 0));
        expect(short).toBeCloseTo(Math.max(0, wanted - litres));
        if (short === 0) for (const one of plan) expect(litres - one.litres).toBeLessThan(wanted);
        // Eaten is only what must be: all that costs less is in the plan, or not needed.
        if (plan.some((one) => one.deed === 'eat') && short > 0)
          for (const one of deeds.filter((other) => other.deed === 'bin' && other.litres >= 0.1))
            expect(plan.some((other) => other.package === one.package)).toBe(true);
      },
    ),
    { numRuns: 300 },
  );
});
