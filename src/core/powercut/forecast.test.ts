import fc from 'fast-check';
import { type CutRequest, FORECAST_KINDS } from './cutForecast';
import { forecastCut } from './forecastCut';

const request = (more: Partial<CutRequest>): CutRequest => ({
  kind: 'chest',
  litres: 250,
  fill: 1,
  iceKg: 0,
  waterKg: 0,
  startC: -18,
  ambientC: 22,
  openings: [],
  readings: [],
  hours: 120,
  samples: 2000,
  seed: 7,
  ...more,
});
const near = (value: number, expected: number, percent: number): void =>
  expect(Math.abs(value / expected - 1) * 100).toBeLessThanOrEqual(percent);

describe('the power cuts of the validation table', () => {
  it.each<[string, Partial<CutRequest>, number, number, number, number, number | 'p10']>([
    ['V10', { hours: 168 }, 48, 57, 91, 146, 48],
    ['V11', { fill: 0.5 }, 24, 30, 46.5, 73, 24],
    ['V12', { kind: 'upright', litres: 200 }, 48, 31, 50, 80, 'p10'],
    ['V13', { kind: 'drawer-freezer', litres: 90, fill: 0.5 }, 24, 15.9, 24.7, 39, 'p10'],
    ['V14', { kind: 'fridge', fill: 0.8, startC: 2.5, hours: 24 }, 4, 2.4, 4.1, 6.6, 4],
    ['V15', { fill: 0.8, hours: 168, readings: [{ atH: 5, c: -9.5 }] }, 38.4, 59, 80, 108, 38.4],
    ['V16', { kind: 'fridge', fill: 0.6, iceKg: 4, startC: 2.5, hours: 24 }, 4, 5.7, 9.4, 16.5, 4],
  ])('%s', (_name, more, limit, p10, p50, p90, safe) => {
    const forecast = forecastCut(request(more));
    expect(forecast.publishedLimitH).toBeCloseTo(limit, 6);
    near(forecast.to4c.p10, p10, 12);
    near(forecast.to4c.p50, p50, 12);
    near(forecast.to4c.p90, p90, 12);
    expect(forecast.safeUntilH).toBeCloseTo(safe === 'p10' ? forecast.to4c.p10 : safe, 6);
    expect(forecast.imbalance).toBeLessThan(0.005);
    if (forecast.withReadings) near(forecast.effectiveSamples, 1240, 12);
  });
});

it('however short a look is asked for, what is safe is simulated to the published limit', () => {
  const upright = { kind: 'upright' as const, litres: 200, samples: 300 };
  const long = forecastCut(request({ ...upright, hours: 120 }));
  const short = forecastCut(request({ ...upright, hours: 1 }));
  expect(short.safeUntilH).toBe(long.safeUntilH);
  expect(short.safeUntilH).toBeLessThan(short.publishedLimitH);
  expect([short.to4c.p10, short.band.length]).toEqual([Infinity, 2]);
});

describe('laws of a power cut, chances shared', () => {
  const any = fc.record({
    kind: fc.constantFrom(...FORECAST_KINDS),
    litres: fc.integer({ min: 40, max: 400 }),
    fill: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
  });
  const told = (more: Partial<CutRequest>): CutRequest =>
    request({ startC: null, hours: 72, samples: 200, ...more });
  const notSooner = (a: number, b: number): void => expect(a).toBeGreaterThanOrEqual(b * 0.99);

  it('ice never shortens; openings, a hotter room, a warmer start and less food never lengthen; never past the limit', () => {
    fc.assert(
      fc.property(any, fc.double({ min: 1, max: 6, noNaN: true }), (appliance, more) => {
        const plain = forecastCut(told(appliance));
        const { p10, p50, p90 } = plain.to4c;
        expect(p10).toBeLessThanOrEqual(p50);
        expect(p50).toBeLessThanOrEqual(p90);
        expect(plain.safeUntilH).toBeLessThanOrEqual(plain.publishedLimitH);
        expect(plain.imbalance).toBeLessThan(0.005);
        notSooner(forecastCut(told({ ...appliance, iceKg: more, waterKg: more })).to4c.p50, p50);
        const openings = [
          { atH: 1, seconds: 30 * more },
          { atH: 9, seconds: 30 },
        ];
        const opened = forecastCut(told({ ...appliance, openings }));
        notSooner(p50, opened.to4c.p50);
        expect(opened.safeUntilH).toBeLessThanOrEqual(plain.safeUntilH + 1e-9);
        notSooner(p50, forecastCut(told({ ...appliance, ambientC: 22 + more })).to4c.p50);
        notSooner(p50, forecastCut(told({ ...appliance, fill: appliance.fill * 0.7 })).to4c.p50);
        const start = appliance.kind === 'fridge' ? 2 : -20;
        const cold = forecastCut(told({ ...appliance, startC: start })).to4c.p50;
        notSooner(cold, forecastCut(told({ ...appliance, startC: start + more / 3 })).to4c.p50);
      }),
      { numRuns: 12 },
    );
  });

  it('the same seed is the same forecast; a warm reading shortens at once, one far too cold falls back', () => {
    const chest = told({ kind: 'chest', litres: 250, fill: 0.8, samples: 500 });
    expect(forecastCut(chest)).toEqual(forecastCut(chest));
    const warm = forecastCut({
      ...chest,
      readings: [
        { atH: 4, c: -5 },
        { atH: 8, c: 6 },
      ],
    });
    expect(warm.to4c.p10).toBeLessThanOrEqual(4 + (4 * 9.4) / 11 + 1e-9);
    expect(warm.safeUntilH).toBeLessThanOrEqual(warm.to4c.p10);
    const odd = forecastCut({ ...chest, readings: [{ atH: 30, c: -40 }] });
    expect(odd.safeUntilH).toBeLessThanOrEqual(odd.publishedLimitH);
    expect(Number.isFinite(odd.to4c.p10)).toBe(true);
  });

  it('ice and water that cannot fit count for no more than what can, and are reckoned with in no more time', () => {
    const tight = { kind: 'drawer-freezer', litres: 7, fill: 0, startC: null, ambientC: 22 } as const;
    const rest = { openings: [], readings: [], hours: 48, samples: 200, seed: 3 };
    const most = forecastCut({ ...tight, ...rest, iceKg: 3, waterKg: 4 });
    const absurd = forecastCut({ ...tight, ...rest, iceKg: 3 * 28, waterKg: 4 * 28 });
    expect(absurd.to4c).toEqual(most.to4c);
    expect(absurd.safeUntilH).toBe(most.safeUntilH);
  });
});
