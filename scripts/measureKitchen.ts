import { randomUUID } from 'node:crypto';
import { chromium } from '@playwright/test';
import loadHighs from 'highs';
import type { ApplianceDrawing } from '../src/core/model/drawing';
import { newAppliance } from '../src/core/kitchen/newAppliance';
import { splitZone } from '../src/core/kitchen/splitZone';
import { AXES } from '../src/core/model/drawing';
import { bestMix } from '../src/core/packaging/bestMix';
import type { Container } from '../src/core/model/container';
import { fitContainer } from '../src/core/packaging/fit';
import { placementModel, worthOf } from '../src/core/placement/placementModel';
import type { PlacingPackage, PlacingZone } from '../src/core/placement/placing';
import { food } from '../tests/fixtures/reference';
import { inFull } from './benchScale';

/** One line of the table. */
export interface Measured {
  what: string;
  value: number;
  unit: string;
}

/** A kitchen of three fridges and two freezers with 30 zones, and 60 packages that come near to filling it. */
export function crowdedHaul(seed: number) {
  let state = seed;
  const next = (most: number): number => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return state % most;
  };
  const zones = Array.from({ length: 30 }, (_, at): Record<string, unknown> => {
    const freezer = at >= 18;
    return {
      id: `z${at}`,
      appliance: `a${Math.floor(at / 6)}`,
      kind: freezer ? 'drawer' : (['shelf', 'shelf', 'shelf', 'drawer', 'drawer', 'door'] as const)[at % 6],
      temperature_c: freezer ? -18 : at % 6 === 5 ? 6 : 3,
      humidity: at % 6 === 3 ? 'high' : at % 6 === 4 ? 'low' : null,
      order: at % 6,
      litres: 20,
      free_litres: 6 + next(6),
      leakproof: at % 6 === 2,
      purpose: at % 6 === 0 ? 'leftovers' : '',
    };
  });
  const names = [
    'ground-beef',
    'trout',
    'milk',
    'lettuce',
    'stew',
    'apples',
    'kale',
    'quark',
    'yogurt',
    'carrots',
    'chicken-whole',
    'butter',
  ];
  const packages = Array.from({ length: 60 }, (_, at): Record<string, unknown> => ({
    id: `p${at}`,
    food: names[next(names.length)],
    state: at % 5 < 2 ? 'frozen' : 'chilled',
    litres: 1 + next(30) / 10,
    days_left: next(12),
    takes_per_week: next(4),
  }));
  return {
    zones,
    packages: packages.map((one) =>
      one.state === 'frozen' && one.food === 'lettuce' ? { ...one, food: 'kale' } : one,
    ),
  };
}

export function toCore({ zones, packages }: ReturnType<typeof crowdedHaul>): {
  zones: PlacingZone[];
  packages: PlacingPackage[];
} {
  return {
    zones: zones.map((zone) => ({
      id: String(zone.id),
      appliance: String(zone.appliance),
      kind: zone.kind as PlacingZone['kind'],
      temperatureC: Number(zone.temperature_c),
      humidity: zone.humidity as PlacingZone['humidity'],
      order: Number(zone.order),
      litres: Number(zone.litres),
      freeLitres: Number(zone.free_litres),
      widthMm: null,
      depthMm: null,
      heightMm: null,
      leakproof: Boolean(zone.leakproof),
      only: [],
      never: [],
      purpose: String(zone.purpose),
      lifts: 0,
    })),
    packages: packages.map((found) => ({
      id: String(found.id),
      food: food(String(found.food)),
      state: found.state as PlacingPackage['state'],
      litres: Number(found.litres),
      rigidMm: null,
      daysLeft: Number(found.days_left),
      takesPerWeek: Number(found.takes_per_week),
    })),
  };
}

const PROOF_SECONDS = inFull(70, 1);
/** Points for placing a package at all, as in the model. */
const PLACED = 1000;

/** 60 packages into 30 zones: how long the answer takes, and how near it comes to a run to proof. */
export async function placement60(base: string): Promise<Measured[]> {
  const times: number[] = [];
  const answers: { haul: ReturnType<typeof crowdedHaul>; assignments: { id: string; zone: string }[] }[] = [];
  for (const seed of [1, 2, 3]) {
    const haul = crowdedHaul(seed);
    const begun = performance.now();
    const response = await fetch(`${base}/api/v1/estimates/placement`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...haul, contents: [] }),
    });
    const { assignments } = (await response.json()) as { assignments: { id: string; zone: string }[] };
    times.push(performance.now() - begun);
    answers.push({ haul, assignments });
  }
  const highs = await loadHighs();
  const short: number[] = [];
  let proven = 0;
  for (const { haul, assignments } of answers) {
    const { zones, packages } = toCore(haul);
    const model = placementModel(zones, [], packages);
    const points = model.possible.map(worthOf);
    const ours = assignments.reduce((sum, { id, zone }) => {
      const at = model.possible.findIndex(
        (one) => packages[one.package]?.id === id && zones[one.zone]?.id === zone,
      );
      return sum + (points[at] ?? 0);
    }, 0);
    const { Status, ObjectiveValue } = highs.solve(model.lp, {
      time_limit: PROOF_SECONDS,
      mip_rel_gap: 0,
      output_flag: false,
    });
    if (Status === 'Optimal') proven += 1;
    // What placing as such is worth is left out: only the scores are compared.
    const placed = PLACED * assignments.length;
    short.push(((ObjectiveValue - ours) / Math.max(1, ObjectiveValue - placed)) * 100);
  }
  return [
    { what: '60 packages into 30 zones, slowest of three', value: Math.max(...times), unit: 'ms' },
    {
      what: `scores short of the run to proof (${proven} of 3 proven), worst`,
      value: Math.max(...short),
      unit: '%',
    },
  ];
}

/** 20 kinds of containers in one zone: every way each may stand, and the best mix. */
export function fitOf20Kinds(): Measured[] {
  const kinds = Array.from({ length: 20 }, (_, at): Container => {
    const outerMm: Container['outerMm'] = [90 + at * 13, 70 + ((at * 29) % 140), 45 + ((at * 17) % 90)];
    return {
      id: String(at),
      name: `Kind ${at}`,
      outerMm,
      innerMm: outerMm,
      litres: outerMm.reduce((a, b) => a * b) / 1_100_000,
      lid: at % 4 !== 0,
      leakproof: true,
      rigid: at % 5 !== 0,
      count: 40,
    };
  });
  const zone = { kind: 'shelf' as const, widthMm: 1200, heightMm: 400, depthMm: 600 };
  const begun = performance.now();
  for (const kind of kinds) fitContainer(zone, kind);
  bestMix(zone, kinds);
  return [
    {
      what: 'fit search over 20 kinds of containers, 1200 mm wide',
      value: performance.now() - begun,
      unit: 'ms',
    },
  ];
}

/** A wall of 200 zones. */
function wall(): ApplianceDrawing {
  let drawing = newAppliance('upright-freezer', 'Bench wall', 'Bench', randomUUID);
  for (let step = 0; drawing.zones.length < 200; step++) {
    const largest = [...drawing.zones].sort((a, b) => b.widthMm * b.heightMm - a.widthMm * a.heightMm)[0];
    if (!largest) break;
    const axis = largest.widthMm > largest.heightMm ? AXES[0] : AXES[1];
    drawing = splitZone(drawing, largest.id, axis, randomUUID());
  }
  return drawing;
}

const DRAG_MS = inFull(3000, 500);

/** 200 zones on paper, one of them dragged about: frames drawn a second, from the browser's trace. */
export async function dragAmong200(base: string): Promise<Measured[]> {
  const appliance = wall();
  const saved = await fetch(`${base}/api/v1/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id: randomUUID(), type: 'appliance.draw', appliance, version: null }),
  });
  if (!saved.ok) throw new Error(`the wall was refused: ${await saved.text()}`);
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${base}/kitchen/draw/${appliance.id}`);
    const box = await page.locator('[data-zone-box]').nth(100).boundingBox();
    if (!box) throw new Error('no zone to drag');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await browser.startTracing(page, {
      categories: ['disabled-by-default-devtools.timeline.frame', 'devtools.timeline.frame'],
    });
    const until = performance.now() + DRAG_MS;
    for (let step = 0; performance.now() < until; step++) {
      await page.mouse.move(x + 60 * Math.sin(step / 7), y + 60 * Math.cos(step / 5));
    }
    const trace = JSON.parse((await browser.stopTracing()).toString()) as {
      traceEvents: { name: string; ts: number }[];
    };
    await page.mouse.up();
    const drawn = trace.traceEvents
      .filter(({ name }) => name === 'DrawFrame')
      .map(({ ts }) => ts / 1000)
      .sort((a, b) => a - b);
    const gaps = drawn
      .slice(1)
      .map((at, index) => at - (drawn[index] ?? at))
      .sort((a, b) => a - b);
    const whole = ((drawn.at(-1) ?? 0) - (drawn[0] ?? 0)) / 1000;
    return [
      { what: 'frames a second, one of 200 zones dragged', value: (drawn.length - 1) / whole, unit: '/s' },
      { what: 'frame time there, p95', value: gaps[Math.floor(gaps.length * 0.95)] ?? 0, unit: 'ms' },
    ];
  } finally {
    await browser.close();
  }
}
