import fc from 'fast-check';
import { airDuringCut, cutTimes, hoursAbove, warmest } from './airDuringCut';
import type { CutAppliance } from './powerCut';

const FROM = Date.parse('2027-01-05T06:00:00Z');
const at = (hours: number): string => new Date(FROM + hours * 3_600_000).toISOString();

const reading = fc.record({
  h: fc.double({ min: -6, max: 30, noNaN: true }),
  c: fc.double({ min: -25, max: 25, noNaN: true }),
});
const appliance = fc
  .record({
    kind: fc.constantFrom('fridge' as const, 'freezer' as const),
    hours: fc.double({ min: 0.5, max: 24, noNaN: true }),
    readings: fc.array(reading, { maxLength: 8 }),
  })
  .map(({ kind, hours, readings }): CutAppliance & { hours: number } => ({
    id: 'a',
    kind,
    fill: 0.5,
    from: at(0),
    until: at(hours),
    doors: 'shut',
    readings: readings.map(({ h, c }) => ({ at: at(h), c })),
    telltale: 'none',
    hours,
  }));

describe('the air from start to end of a cut', () => {
  it('begins at 0, ends with the cut, and goes forward in time', () => {
    fc.assert(
      fc.property(appliance, (given) => {
        const points = airDuringCut(given, cutTimes(given, at(40)));
        expect(points[0]?.h).toBe(0);
        expect(points.at(-1)?.h).toBeCloseTo(given.hours, 3);
        expect(points.every(({ h }, nth) => nth === 0 || h >= (points[nth - 1]?.h ?? 0))).toBe(true);
      }),
    );
  });

  it('hours above never exceed the cut, and fall as the threshold rises', () => {
    fc.assert(
      fc.property(appliance, fc.double({ min: -20, max: 20, noNaN: true }), (given, threshold) => {
        const points = airDuringCut(given, cutTimes(given, at(40)));
        const hours = hoursAbove(points, threshold);
        expect(hours).toBeGreaterThanOrEqual(0);
        expect(hours).toBeLessThanOrEqual(given.hours + 1e-6);
        expect(hoursAbove(points, threshold + 1)).toBeLessThanOrEqual(hours + 1e-9);
        expect(hoursAbove(points, warmest(points))).toBeCloseTo(0, 9);
      }),
    );
  });

  it('does not depend on the order in which readings were written down', () => {
    fc.assert(
      fc.property(appliance, (given) => {
        const backwards = { ...given, readings: [...given.readings].reverse() };
        const times = cutTimes(given, at(40));
        expect(warmest(airDuringCut(backwards, times))).toBeCloseTo(warmest(airDuringCut(given, times)), 9);
      }),
    );
  });

  it.each([
    ['a freezer without readings stays where it was', 'freezer', [], [-18, -18]],
    [
      'a reading after the power came back is none',
      'freezer',
      [
        [1, -10],
        [5, 2],
      ],
      [-10, -10, -10],
    ],
    ['a freezer holds its first reading backwards', 'freezer', [[1, -10]], [-10, -10, -10]],
  ] as const)('%s', (_what, kind, told, expected) => {
    const given: CutAppliance = {
      id: 'a',
      kind,
      fill: 1,
      from: at(0),
      until: at(4),
      doors: 'shut',
      readings: told.map(([h, c]) => ({ at: at(h), c })),
      telltale: 'none',
    };
    const points = airDuringCut(given, cutTimes(given, at(9)));
    expect(points.map(({ c }) => Math.round(c * 10) / 10)).toEqual(
      expected.map((c) => Math.round(c * 10) / 10),
    );
  });

  it('after its last reading a fridge warms on, sooner the emptier it is and the more its door is opened', () => {
    const end = (fill: number, doors: CutAppliance['doors'], c: number): number => {
      const given = { kind: 'fridge', fill, doors, readings: [{ at: at(1), c }] } as const;
      const cut: CutAppliance = { ...given, id: 'a', from: at(0), until: at(9), telltale: 'none' };
      return airDuringCut(cut, cutTimes(cut, at(9))).at(-1)?.c ?? 0;
    };
    expect(end(0.8, 'shut', 3)).toBeGreaterThan(6);
    expect(end(0.2, 'shut', 3)).toBeGreaterThan(end(0.8, 'shut', 3));
    expect(end(0.8, 'unknown', 3)).toBeGreaterThan(end(0.8, 'shut', 3));
    expect(end(0.8, 'shut', 4)).toBeGreaterThan(end(0.8, 'shut', 3));
  });
});
