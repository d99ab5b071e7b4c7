import { type CutRequest, DRAWS, FORECAST_KINDS } from '../src/core/powercut/cutForecast';
import { cutFacts } from '../src/core/powercut/cutFacts';
import { forecastCut } from '../src/core/powercut/forecastCut';
import { judgeCut } from '../src/core/powercut/judgeCut';
import { seededNormals } from '../src/core/powercut/seededNormals';
import { warmUp } from '../src/core/powercut/warmUp';
import type { CutPart } from '../src/core/model/cut';
import { classes } from '../tests/fixtures/reference';
import type { Measured } from './measureKitchen';
import { quantile } from './quantile';
import { inFull } from './benchScale';

const HOMES = inFull(500, 4);
const SAMPLES = inFull(400, 200);
const NOISE_K = 0.3;
const PACKAGES = inFull(5000, 100);
const FRIDGE_GRACE_H = 2;

/** A home with its hidden truth, and three readings of its air. */
function home(seed: number): { request: CutRequest; endH: number; readings: CutRequest['readings'] } {
  const chance = seededNormals(seed);
  const kind = FORECAST_KINDS[seed % 2 === 0 ? 0 : 1 + (Math.floor(seed / 2) % 4)] ?? 'fridge';
  const fridge = kind === 'fridge';
  const request: CutRequest = {
    ...{
      kind,
      litres: Math.round((fridge ? 150 : 60) + 200 * chance.uniform()),
      iceKg: 0,
      waterKg: 0,
      startC: null,
    },
    ...{
      fill: 0.2 + 0.75 * chance.uniform(),
      ambientC: 14 + 14 * chance.uniform(),
      openings: [],
      readings: [],
    },
    ...{ hours: fridge ? 24 : 168, samples: SAMPLES, seed: seed + 1 },
  };
  const z = Float64Array.from({ length: DRAWS }, () => chance.normal());
  const { to4c } = warmUp(request, z, () => {});
  const endH = Math.min(to4c, request.hours);
  const at = [0.2, 0.4, 0.6].map((share) => share * endH);
  const { airAt } = warmUp({ ...request, readings: at.map((atH) => ({ atH, c: 0 })) }, z, () => {});
  const readings = at.map((atH, nth) => ({ atH, c: (airAt[nth] ?? 0) + NOISE_K * chance.normal() }));
  return { request, endH: to4c, readings };
}

/** How often the band holds the truth, and how often what is acted on comes later than the true end; before and with readings. */
export function coverage(): Measured[] {
  const told = {
    before: { held: 0, late: 0, over: 0, width: [] as number[] },
    with: { held: 0, late: 0, over: 0, width: [] as number[] },
  };
  for (let seed = 0; seed < HOMES; seed++) {
    const { request, endH, readings } = home(seed);
    for (const [key, known] of [
      ['before', request],
      ['with', { ...request, readings }],
    ] as const) {
      const { to4c, safeUntilH, publishedLimitH } = forecastCut(known);
      const so = told[key];
      if (endH >= to4c.p10 && endH <= to4c.p90) so.held += 1;
      if (safeUntilH > endH + (request.kind === 'fridge' ? FRIDGE_GRACE_H : 0)) so.late += 1;
      if (safeUntilH > publishedLimitH) so.over += 1;
      if (Number.isFinite(to4c.p90)) so.width.push((to4c.p90 - to4c.p10) / to4c.p50);
    }
  }
  const percent = (count: number): number => (count / HOMES) * 100;
  return [
    {
      what: 'the band holds the true end, 500 homes, nothing read',
      value: percent(told.before.held),
      unit: '%',
    },
    { what: 'the same with three readings', value: percent(told.with.held), unit: '%' },
    { what: 'acted on later than the true end, nothing read', value: percent(told.before.late), unit: '%' },
    { what: 'the same with three readings', value: percent(told.with.late), unit: '%' },
    {
      what: 'width of the band over its middle, nothing read, median',
      value: quantile(told.before.width, 0.5),
      unit: '',
    },
    { what: 'the same with three readings', value: quantile(told.with.width, 0.5), unit: '' },
    { what: 'past the published limit', value: told.before.over + told.with.over, unit: '' },
  ];
}

const part = (id: string, kind: CutPart['kind']): CutPart => ({
  ...{
    id,
    called: id,
    kind,
    drawn: true,
    fill: 0.5,
    doors: 'shut',
    telltale: 'none',
    roomC: 22,
    iceKg: 0,
    waterKg: 0,
  },
});

/** 5,000 packages of all classes judged, and 2,000 samples over 72 hours forecast: as a page does it. */
export function judgedAndForecast(): Measured[] {
  const all = [...classes.values()];
  const from = Date.parse('2026-11-20T08:00:00.000Z');
  const cut = {
    ...{ id: 'c', from: new Date(from).toISOString(), until: null, closedAt: null },
    parts: [part('a', 'fridge'), part('b', 'freezer')],
  };
  const readings = Array.from({ length: 100 }, (_, at) => ({
    ...{ id: String(at), cut: 'c', part: at % 2 ? 'a' : 'b', c: at % 2 ? 4 + at / 50 : -10 },
    at: new Date(from + at * 300_000).toISOString(),
  }));
  const things = Array.from({ length: PACKAGES }, (_, at) => ({
    ...{ id: String(at), food: { name: 'food' }, seen: {}, past: null },
    outageClass: all[at % all.length] as (typeof all)[number],
    stays: [{ part: at % 2 ? 'a' : 'b', from: null, until: null }],
  }));
  const facts = cutFacts(cut, { cuts: [cut], readings, openings: [] });
  const timed = (work: () => unknown): number => {
    const begun = performance.now();
    work();
    return performance.now() - begun;
  };
  const judge = Array.from({ length: 20 }, () =>
    timed(() => judgeCut({ ...facts }, things, new Date(from + 10 * 3_600_000).toISOString())),
  );
  const request = { ...home(2).request, kind: 'chest' as const, hours: 72, samples: 2000 };
  const forecast = Array.from({ length: 5 }, () => timed(() => forecastCut(request)));
  return [
    { what: '5,000 packages judged, p95', value: quantile(judge, 0.95), unit: 'ms' },
    { what: 'forecast, 2,000 samples over 72 h, median', value: quantile(forecast, 0.5), unit: 'ms' },
  ];
}
