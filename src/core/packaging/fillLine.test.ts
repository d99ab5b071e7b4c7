import fc from 'fast-check';
import { fillLine, MOUTHS } from './fillLine';

describe('the fill line', () => {
  it.each([
    // [vessel, filling, water, headspace, fill by hand]
    [{ capacityMl: 500, mouth: 'wide', heightMm: 125 }, 'liquid', 0.9, 13, 448],
    [{ capacityMl: 500, mouth: 'narrow', heightMm: 125 }, 'liquid', 0.9, 19, 424],
    [{ capacityMl: 1000, mouth: 'wide', heightMm: 160 }, 'liquid', 0.9, 25, 843],
    [{ capacityMl: 1000, mouth: 'narrow', heightMm: 160 }, 'juice', 0.9, 38, 762],
    [{ capacityMl: 500, mouth: 'narrow', heightMm: 125 }, 'dry', 0.9, 13, 448],
    // In a very tall vessel the line would leave less than the growth needs: 1000 / 1.09.
    [{ capacityMl: 1000, mouth: 'wide', heightMm: 900 }, 'liquid', 1, 25, 917],
    // Nobody measured: 120 mm for the small ones.
    [{ capacityMl: 500, mouth: 'wide', heightMm: null }, 'liquid', 0.9, 13, 445],
    // Lower than its headspace: nothing goes in.
    [{ capacityMl: 100, mouth: 'narrow', heightMm: 15 }, 'juice', 0.9, 38, 0],
  ] as const)('%j with %s', (vessel, filling, water, headspaceMm, fillMl) => {
    expect(fillLine(vessel, filling, water)).toEqual({ headspaceMm, fillMl });
  });

  it('never overfills: the frozen content stays below the rim, and more water never allows more', () => {
    const any = fc.record({
      capacityMl: fc.integer({ min: 50, max: 5000 }),
      mouth: fc.constantFrom(...MOUTHS),
      heightMm: fc.option(fc.integer({ min: 20, max: 400 })),
    });
    fc.assert(
      fc.property(
        any,
        fc.constantFrom('liquid' as const, 'dry' as const, 'juice' as const),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (vessel, filling, water) => {
          const { fillMl } = fillLine(vessel, filling, water);
          expect(fillMl * (1 + 0.09 * water)).toBeLessThanOrEqual(vessel.capacityMl);
          expect(fillMl).toBeGreaterThanOrEqual(0);
          expect(fillLine(vessel, filling, 1).fillMl).toBeLessThanOrEqual(fillMl);
        },
      ),
      { numRuns: 2000 },
    );
  });
});
