import fc from 'fast-check';
import {
  enqueue,
  feed,
  jam,
  loadRoll,
  NEW_PRINTER,
  type Printer,
  readPrinter,
  retry,
  runOut,
  toggle,
  withdraw,
} from './labelPrinter';
import { simulatedLog } from './logger';
import { sayScale, simulatedScale } from './scale';
import { codeReader, isEan, simulatedScanner } from './scanner';
import { simulatedThermometer } from './thermometer';

/** A clock and a chance that a test turns by hand. */
function hand() {
  const clock = { ms: 0, chance: 0.5 };
  return { clock, now: () => clock.ms, chance: () => clock.chance };
}

describe('the scale', () => {
  it('settles, tares, creeps, shows its unit, gives up over its load, and goes', () => {
    const { clock, now, chance } = hand();
    const scale = simulatedScale(now, chance);
    scale.put(557);
    expect(scale.read()).toMatchObject({ stable: false });
    clock.ms += 3000;
    expect(scale.read()).toEqual({ grams: 557, stable: true, state: 'ok', unit: 'g' });
    scale.nextUnit();
    expect(sayScale(scale.read())).toBe('19.65 oz');
    scale.tare();
    scale.put(1000);
    clock.ms += 3000;
    expect(scale.read().grams).toBe(443);
    scale.drift(30);
    clock.ms += 60_000;
    expect(scale.read().grams).toBe(473);
    scale.tare();
    expect(scale.read().grams).toBe(0);
    scale.put(6000);
    clock.ms += 3000;
    expect(scale.read()).toMatchObject({ state: 'over', stable: false, grams: 0 });
    scale.unplug();
    expect([scale.read().state, sayScale(scale.read())]).toEqual(['gone', 'no answer']);
  });
});

describe('the scanner', () => {
  it('knows a check digit', () => {
    expect(['2012345000018', '20123451', '2012345000019', '123'].map(isEan)).toEqual([
      true,
      true,
      false,
      false,
    ]);
  });

  it('tells a code once while it is held there, again after it was away, and never a misread one', () => {
    const clock = { ms: 0 };
    let seed = 7;
    const chance = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647;
    const camera = simulatedScanner(() => clock.ms, chance);
    const reader = codeReader();
    const look = (ms: number) => {
      const told: string[] = [];
      for (let at = 0; at < ms; at += 50) {
        clock.ms += 50;
        const scan = reader.see(camera.frame());
        if (scan) told.push(`${scan.kind} ${scan.code}`);
      }
      return told;
    };
    camera.hold('2012345000018');
    expect(look(5000)).toEqual(['ean 2012345000018']);
    camera.hold(null);
    expect(look(2000)).toEqual([]);
    camera.hold('2012345000018');
    expect(look(5000)).toEqual(['ean 2012345000018']);
    camera.unplug();
    expect(look(2000)).toEqual([]);
    camera.plug();
    camera.hold('http://localhost/p/KT47');
    expect(look(5000).at(0)).toBe('package KT47');
    camera.hold('https://pantry.example/p/LM58?g=1-KT4M9WXYHJ2P');
    expect(look(5000).at(0)).toBe('package LM58');
  });
});

describe('the label printer', () => {
  const strip = (id: string) => ({
    id,
    name: id,
    amount: '',
    happened: '',
    due: '',
    thenDo: '',
    notFor: '',
    code: id,
  });
  const many = (count: number) => Array.from({ length: count }, (_, at) => strip(`s${at}`));
  const run = (printer: Printer): Printer => {
    let now = printer;
    for (let at = 0; at < 100; at++) now = feed(now);
    return now;
  };

  it('keeps what waits through an empty roll, a jam and a reload; nothing is lost or doubled', () => {
    const stopped = run(enqueue(NEW_PRINTER, many(45)));
    expect([stopped.state, stopped.queue.length, stopped.printed.length]).toEqual(['paper-out', 5, 40]);
    const jammed = jam(loadRoll(readPrinter(JSON.stringify(stopped))));
    expect([jammed.state, jammed.paper, run(jammed).queue.length]).toEqual(['jam', 39, 5]);
    const done = run(retry(jammed));
    expect([done.queue.length, new Set(done.printed.map(({ id }) => id)).size]).toEqual([0, 45]);
    expect(readPrinter('{"state":"burning"}')).toEqual(NEW_PRINTER);
  });

  it('whatever happens to it, each strip is waiting or printed, exactly once', () => {
    const act = fc.constantFrom(feed, jam, runOut, loadRoll, retry, toggle);
    fc.assert(
      fc.property(fc.array(act, { maxLength: 60 }), (acts) => {
        const after = acts.reduce((now, one) => one(now), enqueue(enqueue(NEW_PRINTER, many(12)), many(12)));
        const ids = [...after.queue, ...after.printed].map(({ id }) => id);
        expect([...ids].sort()).toEqual(
          many(12)
            .map(({ id }) => id)
            .sort(),
        );
        expect(after.paper).toBeGreaterThanOrEqual(0);
      }),
    );
    expect(withdraw(enqueue(NEW_PRINTER, many(3)), ['s1']).queue.map(({ id }) => id)).toEqual(['s0', 's2']);
  });
});

it('the thermometer takes its time, and is silent when it is gone', () => {
  const { clock, now, chance } = hand();
  const one = simulatedThermometer(now, chance);
  one.place(-18);
  expect(one.read()).toEqual({ celsius: 20, settled: false });
  clock.ms += 12_000;
  expect(one.read()).toEqual({ celsius: -18, settled: true });
  one.unplug();
  expect(one.read().celsius).toBeNull();
});

describe('the thermometer that keeps a log', () => {
  const HOUR_MS = 3_600_000;
  const FRIDGE = { kind: 'fridge' as const, litres: 250, fill: 0.5, setC: 4 };
  const [from, to] = [Date.parse('2026-11-25T00:00:00Z'), Date.parse('2026-11-27T00:00:00Z')];
  const play = { from, to, everyMs: HOUR_MS / 4, cuts: [], fastSPerDay: 0, emptyAt: null };
  const cut = { from: from + 24 * HOUR_MS, until: from + 36 * HOUR_MS };
  const warmest = (readings: { at: string; c: number }[], begin: number, end: number): number =>
    Math.max(
      ...readings.filter(({ at }) => Date.parse(at) >= begin && Date.parse(at) <= end).map(({ c }) => c),
    );

  it('stays near what it is set to with power, warms without, and cools again', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e9 }), (seed) => {
        const { readings } = simulatedLog(FRIDGE, { ...play, cuts: [cut] }, seed);
        expect(warmest(readings, from, cut.from)).toBeLessThan(7);
        // The best fridge there is gains two degrees in twelve hours.
        expect(warmest(readings, cut.from, cut.until)).toBeGreaterThan(5.5);
        expect(warmest(readings, to - 2 * HOUR_MS, to)).toBeLessThan(7);
        // Some readings are missing, the most are there.
        expect(readings.length).toBeGreaterThan(160);
      }),
      { numRuns: 40 },
    );
  });

  it('has a clock that drifts and a battery that ends; the same seed is the same log', () => {
    const { readings, itsClock } = simulatedLog(FRIDGE, { ...play, fastSPerDay: 60 }, 3);
    expect(Date.parse(itsClock) - to).toBe(120_000);
    expect(simulatedLog(FRIDGE, { ...play, fastSPerDay: 60 }, 3).readings).toEqual(readings);
    const flat = simulatedLog(FRIDGE, { ...play, emptyAt: cut.from }, 3);
    expect([flat.battery, flat.readings.every(({ at }) => Date.parse(at) < cut.from)]).toEqual([0, true]);
  });
});
