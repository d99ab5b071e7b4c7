import { randomUUID } from 'node:crypto';
import { chromium, type Page } from '@playwright/test';
import type { Measured } from './measureKitchen';
import { inFull } from './benchScale';

const A_MINUTE_MS = 60_000;
const LONG_MS = 50;

function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
}

async function send(base: string, body: unknown): Promise<{ answers: { packages: unknown[] }[] }> {
  const response = await fetch(`${base}/api/v1/commands`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new Error(await response.text());
  return (await response.json()) as { answers: { packages: unknown[] }[] };
}

function lineOf(haul: string, position: number, packs: number): Record<string, unknown> {
  const amounts = Array.from({ length: packs }, () => 500);
  return {
    id: randomUUID(),
    haul,
    position,
    food: 'ground-lamb',
    called: `Mince ${position}`,
    amount: 500 * packs,
    unit: 'g',
    priceMinor: 999,
    start: { did: 'bought', on: new Date().toISOString().slice(0, 10) },
    parts: [{ amounts, packing: 'flat', container: null, goes: 'freezer', zone: null }],
    outSince: new Date(Date.now() - A_MINUTE_MS).toISOString(),
  };
}

/** A haul of 50 lines, labelled with one command: one transaction. */
export async function haulOf50(base: string): Promise<Measured[]> {
  const id = randomUUID();
  const leftAt = new Date(Date.now() - A_MINUTE_MS).toISOString();
  await send(base, { id: randomUUID(), type: 'haul.begin', haul: { id, name: 'Measured', leftAt } });
  const lines = Array.from({ length: 50 }, (_, at) => lineOf(id, at, 4));
  await send(
    base,
    lines.map((line) => ({ id: randomUUID(), type: 'haul.line', line, version: null })),
  );
  const begun = performance.now();
  const pack = { type: 'haul.pack', haul: id, lines: lines.map((line) => ({ line: line.id, version: 1 })) };
  const { answers } = await send(base, { id: randomUUID(), ...pack });
  const ms = performance.now() - begun;
  await send(base, { id: randomUUID(), type: 'haul.close', haul: id });
  return [
    { what: 'a haul of 50 lines labelled in one transaction', value: ms, unit: 'ms' },
    { what: 'packages of it', value: answers[0]?.packages.length ?? 0, unit: '' },
  ];
}

/** Keeps what the page's workers answer, and how long its main thread is held up. */
async function watched(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const kept = { solves: [] as number[], tasks: [] as number[] };
    Object.assign(window, { measured: kept });
    const Plain = window.Worker;
    window.Worker = class extends Plain {
      constructor(...told: ConstructorParameters<typeof Worker>) {
        super(...told);
        this.addEventListener('message', ({ data }: MessageEvent<{ ms?: number }>) => {
          if (typeof data.ms === 'number') kept.solves.push(data.ms);
        });
      }
    };
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) kept.tasks.push(duration);
    }).observe({ type: 'longtask' });
  });
}

const keptBy = (page: Page) =>
  page.evaluate(() => (window as unknown as { measured: { solves: number[]; tasks: number[] } }).measured);

const TYPED = [
  'mutton mince 3.9 kg / 7 flat @ 28.20',
  'smoked haddock 1.2 kg / 2, half freeze',
  'raspberies 600 g loose > drawer 2',
  'chikn thigs 1.4 kg use by in 3 days',
];

/** Typing into the quick line in a store with many packages, and the heat model while portions change, in Chromium. */
export async function benchInBrowser(base: string): Promise<Measured[]> {
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await watched(page);
    await page.goto(`${base}/haul`);
    await page.getByRole('button', { name: 'Begin the haul' }).click();
    const quick = page.getByRole('textbox', { name: 'Quick line: what came in' });
    await quick.click();
    await quick.fill('mutton mince 3.9 kg / 7 flat');
    await page.getByRole('button', { name: /^On the bench/ }).waitFor();
    await page.waitForTimeout(1500);
    const before = (await keptBy(page)).tasks.length;
    let strokes = 0;
    for (const text of TYPED) {
      await quick.fill('');
      await quick.pressSequentially(text, { delay: 25 });
      strokes += text.length;
    }
    const tasks = (await keptBy(page)).tasks.slice(before);
    await quick.fill('mutton mince 3.9 kg / 7 flat');
    await quick.press('Enter');
    await page.getByRole('button', { name: 'Label 7 and go on' }).waitFor();
    const more = page.getByRole('button', { name: 'One pack more' });
    for (let at = 0; at < inFull(25, 2); at++) {
      await more.click();
      await page.waitForTimeout(350);
    }
    const { solves } = await keptBy(page);
    return [
      { what: `quick line, ${strokes} strokes, tasks over ${LONG_MS} ms`, value: tasks.length, unit: '' },
      { what: 'quick line, longest such task (0: none)', value: Math.max(0, ...tasks), unit: 'ms' },
      { what: 'heat answers in the worker', value: solves.length, unit: '' },
      {
        what: 'one heat answer (typical and cautious, curve), p50',
        value: quantile(solves, 0.5),
        unit: 'ms',
      },
      { what: 'one solve, p50', value: quantile(solves, 0.5) / 2, unit: 'ms' },
      { what: 'one heat answer, p95', value: quantile(solves, 0.95), unit: 'ms' },
    ];
  } finally {
    await browser.close();
  }
}
