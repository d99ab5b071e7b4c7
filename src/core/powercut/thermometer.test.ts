import fc from 'fast-check';
import { classes } from '../../../tests/fixtures/reference';
import type { Cut, Reading } from '../model/cut';
import { type LogDay, logSubject } from '../model/thermometer';
import { logReadings, THRESHOLDS_C } from './logReadings';
import { rightClock } from './rightClock';
import { warmSpell } from './warmSpell';

const START = Date.parse('2026-11-20T00:00:00.000Z');
const MINUTE_MS = 60_000;
const at = (minutes: number): string => new Date(START + minutes * MINUTE_MS).toISOString();
const log = (...values: number[]): Reading[] => values.map((c, nth) => ({ at: at(nth * 15), c }));
const ALARM = { aboveC: -12, minutes: 60 };

describe('a warm spell', () => {
  it('is called when it has lasted as long as its alarm waits, since when the warming began', () => {
    const cold = [-18, -17.4, -18.2, -17.6, -18];
    const rising = [-16, -14.5, -13, -11.5, -11, -10.4, -10];
    expect(warmSpell(log(...cold, ...rising), ALARM)).toBeNull();
    const spell = warmSpell(log(...cold, ...rising, -9.6), ALARM);
    expect(spell).toEqual({
      since: at(8 * 15),
      to: at(12 * 15),
      warmestC: -9.6,
      // Before the last of the cold ones: between two readings the power may have gone.
      risingSince: at(3 * 15),
    });
  });

  it('outlasts a dip within the noise and a gap, and ends when it is cold again', () => {
    const warm = log(-18, -11, -12.3, -11, -11, -11);
    expect(warmSpell(warm, ALARM)?.since).toBe(at(15));
    const gap = [...log(-18, -11), { at: at(600), c: -8 }];
    expect(warmSpell(gap, ALARM)?.since).toBe(at(15));
    expect(warmSpell([...gap, { at: at(615), c: -12.5 }], ALARM)).toBeNull();
    expect(warmSpell([], ALARM)).toBeNull();
  });

  it('is never missed by a warmer log, and never begins later by one', () => {
    const value = fc.integer({ min: -200, max: -50 }).map((tenths) => tenths / 10);
    fc.assert(
      fc.property(fc.array(value, { minLength: 1, maxLength: 60 }), fc.nat(40), (values, more) => {
        const [plain, warmer] = [values, values.map((c) => c + more / 10)].map((all) =>
          warmSpell(log(...all), ALARM),
        );
        if (!plain) return;
        expect(warmer).not.toBeNull();
        expect((warmer?.since ?? '9') <= plain.since).toBe(true);
        expect(plain.risingSince <= plain.since).toBe(true);
      }),
    );
  });
});

it('a clock that runs fast or slow is put right to the second, at both ends and between', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -3000, max: 3000 }),
      fc.array(fc.integer({ min: 0, max: 5000 }), { minLength: 1, maxLength: 40 }),
      (offS, minutes) => {
        const length = 5000 * MINUTE_MS;
        const shown = (ms: number): string =>
          new Date(START + ms + ((offS * 1000) / length) * ms).toISOString();
        const told = minutes.map((minute) => ({ at: shown(minute * MINUTE_MS), c: 4 }));
        const right = rightClock(told, { itsNow: shown(length), now: at(5000), setAt: at(0) });
        right.forEach((one, nth) =>
          expect(Math.abs(Date.parse(one.at) - Date.parse(at(minutes[nth] ?? 0)))).toBeLessThan(1000),
        );
      },
    ),
  );
  const never = rightClock(log(4, 5), { itsNow: at(30), now: at(40), setAt: null });
  expect(never.map((one) => one.at)).toEqual([at(10), at(25)]);
});

describe('what of a log bears on a cut', () => {
  const part = { id: 'chest', called: 'Chest', kind: 'freezer' as const, drawn: true, fill: 0.5 };
  const more = { doors: 'shut' as const, telltale: 'none' as const, roomC: 22, iceKg: 0, waterKg: 0 };
  const cut = (from: number, until: number | null): Cut => ({
    ...{ id: 'cut', from: at(from), until: until === null ? null : at(until), closedAt: null },
    parts: [{ ...part, ...more }],
  });
  const day: LogDay = Array.from({ length: 96 }, (_, nth) => [nth * 900, Math.round(-180 + nth * 3) / 10]);
  const read = (one: Cut, now = at(1439)) =>
    logReadings([one], (key) => (key === logSubject('chest', '2026-11-20') ? day : null), now);

  it('is the last before it and the warmest of each stretch, nothing after the power was back', () => {
    const readings = read(cut(130, 610));
    expect(readings[0]).toMatchObject({ at: at(120), c: -15.6, part: 'chest', cut: 'cut' });
    expect(readings.slice(1).map((one) => one.at)).toEqual([at(240), at(360), at(480), at(600)]);
  });

  it('follows the times of the cut, and keeps the first that was too warm', () => {
    expect(read(cut(130, null)).at(-1)?.at).toBe(at(1425));
    const warm = day.find(([, c]) => c > 4.4)?.[0] ?? 0;
    expect(read(cut(130, null)).map((one) => one.at)).toContain(at(warm / 60));
    expect(read(cut(130, null), at(300)).every((one) => one.at <= at(300))).toBe(true);
  });
});

it('the thinning of a log knows every threshold of the table', () => {
  const told = [...classes.values()].flatMap(({ fridgeThresholdC }) => fridgeThresholdC ?? []);
  expect([...new Set(told)].filter((limit) => !THRESHOLDS_C.some((one) => one === limit))).toEqual([]);
});
