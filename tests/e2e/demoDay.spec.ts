import { randomUUID } from 'node:crypto';
import { withClockedServer } from '../fixtures/clockedServer';
import { readPages } from '../fixtures/readPages';
import type { DeskView } from '../../src/services/outage/cutDesk';
import type { Page } from '@playwright/test';
import { expect, test } from './page';

/** A Thursday: no day for the freezers. */
const TODAY = '2026-11-26T08:05:00.000Z';
const TOMORROW = '2026-11-27T08:05:00.000Z';
const SATURDAY = '2026-11-28T08:05:00.000Z';
const SUNDAY = '2026-11-29T08:05:00.000Z';

/** Quantities of a metric kitchen as they stand in words. */
const METRIC = /(?<![\p{L}\d.])\d+(?:[.,]\d+)?\s?(?:kg|g|ml|l|L|litres|mm|cm|°C)(?![\p{L}\d])/u;

/** A figure with a point before its tenths. */
const POINT = /(?<![\p{L}\d.:/])\d+\.\d+(?![\d.:/\p{L}])/u;

const VIEWS = [
  '/',
  '/stock',
  '/stock?by=pack',
  '/stock/take',
  '/stock/shopping',
  '/stock/sheet',
  '/stock/lump',
  '/meals',
  '/rounds',
  '/rounds/reset',
  '/rounds/leaving',
  '/outage',
  '/outage/prepare',
  '/outage/log',
  '/outage/drill',
  '/outage/cuts',
  '/ledger',
  '/ledger/look-back',
  '/kitchen',
  '/kitchen/check',
  '/kitchen/tidy',
  '/kitchen/upkeep',
  '/kitchen/containers',
  '/kitchen/foods',
  '/kitchen/household',
  '/kitchen/keys',
  '/kitchen/exchange',
  '/guest',
  '/kitchen/draw',
  '/kitchen/draw?shape=chest',
  '/move-in',
  '/haul',
];

/** All a page says, also in names and hints; a measure beside a field has no figure, so it is made one. */
const wordsOf = (page: Page): Promise<string> =>
  page.locator('body').evaluate((body) => {
    const marks = [...body.querySelectorAll('[aria-label], [aria-valuetext], [placeholder], svg text')].map(
      (one) => [one.ariaLabel, one.ariaValueText, one.getAttribute('placeholder'), one.textContent].join(' '),
    );
    const beside = [...body.querySelectorAll('label')].map(({ innerText }) =>
      innerText.replace(/, (?=\p{L}+$)/u, ' 1 '),
    );
    return [(body as HTMLElement).innerText, ...marks, ...beside].join('\n');
  });

test('the demo’s day is answered in twelve keys, and the next day asks nothing that was settled', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await withClockedServer('demoday', TODAY, async (base, set) => {
    await page.addInitScript(() => {
      window.addEventListener(
        'keydown',
        () => sessionStorage.setItem('keys', String(Number(sessionStorage.getItem('keys') ?? 0) + 1)),
        true,
      );
    });
    await page.goto(`${base}/`);
    const rows = page.getByRole('list', { name: 'Asks for an answer' }).locator('[data-row-name]');
    const passed = await page.locator('[data-passed]').innerText();
    const words = await rows.allInnerTexts();
    const settled = words.map((text) => text.split(' · ')[0] ?? '');
    // Typed at full speed while every answer takes 900 ms: each key is for the row it was typed on.
    let answers = 0;
    await page.route('**/api/v1/commands', async (route) => {
      await new Promise((wake) => setTimeout(wake, 900));
      await route.fulfill({ response: await route.fetch() });
      answers += 1;
    });
    await page.keyboard.press('ArrowDown');
    await expect(rows.first()).toBeFocused();
    for (const text of words) {
      if (text.includes('not for eating')) await page.keyboard.type('b1');
      else await page.keyboard.type(text.includes('look first') ? 'i' : 'e');
    }
    await expect(rows).toHaveCount(0);
    await expect.poll(() => answers, { timeout: 60_000 }).toBe(words.length);
    await page.unroute('**/api/v1/commands');
    await page.reload();
    await expect(rows).toHaveCount(0);
    expect(settled.length).toBeGreaterThan(6);
    expect(Number(await page.evaluate(() => sessionStorage.getItem('keys')))).toBeLessThanOrEqual(12);
    await expect(page.getByText('Nothing asks for an answer today.')).toBeVisible();
    const toEat = page.getByRole('region', { name: 'To be eaten' });
    await expect(toEat.getByRole('listitem')).toHaveCount(settled.length - 3);

    // The slip is one page, with what was decided on it.
    const slip = await readPages(await fetch(`${base}/api/v1/slip`));
    expect(slip).toHaveLength(1);
    expect(slip[0]?.text).toContain('To be eaten, as decided');

    set(TOMORROW);
    await page.reload();
    const asked = (await rows.allInnerTexts()).map((text) => text.split(' · ')[0] ?? '');
    const over = asked.filter((name) => settled.includes(name));
    // What was to be eaten last night and was not is past its date now, and says so; nothing else comes again.
    const again = await Promise.all(
      over.map((name) => rows.filter({ hasText: name }).first().locator('xpath=../..').innerText()),
    );
    for (const words of again) expect(words).toMatch(/^past/);
    await expect(toEat.getByText(/was to be eaten yesterday/).first()).toBeVisible();
    await expect(page.locator('[data-passed]')).toHaveText(passed);
    await toEat
      .getByRole('button', { name: /^Drop the plan for/ })
      .first()
      .click();
    await expect(page.getByRole('status').filter({ hasText: 'not planned any more' })).toBeVisible();

    // Once a week each freezer is a line of its own, looked through in one press, and rests then.
    set(SATURDAY);
    await page.reload();
    const freezers = page.getByRole('region', { name: 'The freezers, this week' });
    await expect(freezers).toBeVisible();
    const lines = await freezers.getByRole('listitem').count();
    await freezers
      .getByRole('button', { name: /^Looked through/ })
      .first()
      .click();
    await expect(freezers.getByRole('listitem')).toHaveCount(lines - 1);
    // Left open over night, the page begins the next day by itself, and so does the line.
    const line = page.getByRole('textbox', { name: 'Quick line: what came in' });
    await line.click();
    await line.fill('milk 1 l ub sat');
    await expect(page.locator('#quick-reading')).toContainText('28 Nov 2026, today');
    set(SUNDAY);
    await expect(page.getByRole('heading', { name: 'Sunday 29 November' })).toBeVisible();
    await expect(freezers).toHaveCount(0);
    await expect(page.locator('#quick-reading')).toContainText('Milk');
    await expect(page.locator('#quick-reading')).not.toContainText('28 Nov 2026, today');
  });
});

test('in a US household no screen, label or paper says grams, litres or °C, and where a comma is written none has a point', async ({
  page,
}) => {
  test.setTimeout(300_000);
  await withClockedServer('us', TODAY, async (base) => {
    const post = async (path: string, data: unknown) => {
      const response = await page.request.post(`${base}${path}`, { data });
      expect([path, response.status(), await response.text()]).toEqual([path, 200, expect.anything()]);
    };
    await post('/api/v1/households/add', {
      name: 'Dock Street',
      time_zone: 'America/New_York',
      currency: 'USD',
      units: 'us',
      date_order: 'mdy',
    });
    await page.goto(`${base}/move-in`);
    await page.getByRole('button', { name: /^Fridge over freezer/ }).click();
    await page.keyboard.press('Enter');
    await page.getByRole('link', { name: /what is in there/ }).click();
    const field = page.getByRole('textbox', { name: /^What lies in Top shelf/ });
    // Nothing that lies there was bought today.
    await page.getByRole('button', { name: /^Fresh this week/ }).click();
    for (const line of [
      'milk half a gallon bb 12/4',
      'ground beef 2 lb',
      'cheddar 8 oz',
      '2 cups cooked rice',
      'chicken thighs 1 lb 4 oz',
    ]) {
      await field.fill(line);
      await expect(page.locator('#fill-reading')).toContainText(/(use|best) by|past since/);
      await expect(page.locator('#fill-reading')).not.toContainText(METRIC);
      await field.press('Enter');
      await expect(field).toHaveValue('');
    }
    await expect(page.getByText('Milk 2 qt').or(page.getByText('2 qt')).first()).toBeVisible();
    const stored = async () =>
      (
        (await (await page.request.get(`${base}/api/v1/stock`)).json()) as {
          packages: { code: string; amount: number; unit: string }[];
        }
      ).packages;
    await expect.poll(async () => (await stored()).length).toBe(5);
    const packages = await stored();
    expect(packages.map(({ amount, unit }) => `${amount}${unit}`).sort()).toEqual(
      ['1893ml', '227g', '473ml', '567g', '907g'].sort(),
    );
    const code = packages[0]?.code ?? '';
    await page.goto(`${base}/haul`);
    await page.getByRole('button', { name: 'Begin the haul' }).click();
    const quick = page.locator('#quick-line');
    for (const line of [
      'ground beef 4 lb / 4 flat @ 24.00',
      'chicken stock 3 qt / 6 tub',
      'milk half a gallon',
    ]) {
      await quick.fill(line);
      await quick.press('Enter');
      await expect(quick).toHaveValue('');
    }
    await page
      .getByRole('button', { name: /^Minced beef|^Ground beef/ })
      .first()
      .click();
    await expect(page.getByText(/a lb/)).toBeVisible();
    await page.getByLabel('Split by').selectOption('eaters');
    await expect(page.getByLabel('Appetite')).toContainText(' oz');
    await expect(page.getByText(/more today/)).toBeVisible();
    expect(METRIC.exec(await wordsOf(page))?.[0] ?? null).toBeNull();
    // A cut that lasts, so that the desk shows all it has.
    const desk = (await (await page.request.get(`${base}/api/v1/outage`)).json()) as DeskView;
    await post('/api/v1/commands', {
      ...{ id: randomUUID(), type: 'cut.begin', cut: randomUUID() },
      from: new Date(Date.parse(desk.now) - 2 * 3_600_000).toISOString(),
      parts: desk.parts.map(({ id, fill }) => ({ id, fill, doors: 'shut' })),
    });
    const everywhere = async (told: RegExp): Promise<void> => {
      for (const address of [...VIEWS, `/p/${code}`]) {
        await page.goto(`${base}${address}`);
        await expect(page.locator('main')).toBeVisible();
        expect([address, told.exec(await wordsOf(page))?.[0] ?? null]).toEqual([address, null]);
      }
      for (const address of [
        `/api/v1/labels?codes=${code}`,
        '/api/v1/slip',
        '/api/v1/guide',
        '/api/v1/outage/card',
      ]) {
        const pdf = await page.request.get(`${base}${address}`);
        const pages = await readPages(new Response(new Uint8Array(await pdf.body())));
        const words = pages.map(({ text }) => text).join(' ');
        expect([address, told.exec(words)?.[0] ?? null]).toEqual([address, null]);
      }
    };
    await everywhere(METRIC);
    // The same house with grams and a comma: no figure has a point any more, and what is typed with either is understood.
    await post('/api/v1/commands', {
      id: randomUUID(),
      type: 'household.set',
      changes: { units: 'metric', decimals: 'comma' },
    });
    await page.goto(`${base}/`);
    for (const line of ['cod 1,25 kg', 'hake 1.25 kg']) {
      await quick.fill(line);
      await expect(page.locator('#quick-reading')).toContainText('1,25 kg');
      await quick.press('Enter');
      await expect(quick).toHaveValue('');
    }
    await page.goto(`${base}/stock?q=hake`);
    await expect(page.getByRole('table')).toContainText('1,25 kg');
    await everywhere(POINT);
  });
});
