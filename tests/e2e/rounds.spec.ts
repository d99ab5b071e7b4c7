import type { Page } from '@playwright/test';
import type { ResetView } from '../../src/services/rounds/reset';
import type { RoundsView } from '../../src/services/rounds/rounds';
import { allAnswered, expectAccessible, latest, toast, undoSince } from './kitchen';
import { expect, test } from './page';

interface Told {
  id: string;
  version: number;
  code: string;
  zone: { id: string; name: string } | null;
  food: { name: string };
  amount: number;
  use_by: string | null;
  best_by: string;
  counter_since: string | null;
}

let found = '';
test.beforeEach(async ({ page }) => {
  page.setDefaultTimeout(60_000);
  found = await latest(page);
});
test.afterEach(({ page }) => undoSince(page, found));

const rounds = async (page: Page): Promise<RoundsView> =>
  (await (await page.request.get('/api/v1/rounds')).json()) as RoundsView;
const reset = async (page: Page): Promise<ResetView> =>
  (await (await page.request.get('/api/v1/rounds/reset')).json()) as ResetView;
const stock = async (page: Page): Promise<Map<string, Told>> => {
  const { packages } = (await (await page.request.get('/api/v1/stock?limit=500')).json()) as {
    packages: Told[];
  };
  return new Map(packages.map((one) => [one.code, one]));
};
const date = ({ use_by, best_by }: Told): string => use_by ?? best_by;

/** Walks one round along the named zones only. */
async function begin(page: Page, ...zones: string[]): Promise<void> {
  await page.goto('/rounds');
  const ticks = page.getByRole('region', { name: 'Walk along the zones' }).getByRole('checkbox');
  for (const tick of await ticks.all()) await tick.uncheck();
  for (const zone of zones) await page.getByRole('checkbox', { name: new RegExp(`^${zone} `) }).check();
  await page.getByRole('button', { name: /^Begin: / }).click();
  await expect(page.getByRole('heading', { name: zones[0], exact: true })).toBeVisible();
}

test.use({ serviceWorkers: 'allow' });

test('a round with every answer: dates only come forward, what is not there is asked about again, then lost; nothing doubled', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const before = await stock(page);
  const lying = (zone: string): Told[] => [...before.values()].filter((one) => one.zone?.name === zone);
  await page.goto('/rounds');
  await expect(page.getByRole('heading', { name: 'To be used up this week' })).toBeVisible();
  await begin(page, 'Middle shelf', 'Leaf drawer');
  await expectAccessible(page);

  const sound = (await rounds(page)).things.filter(({ view, zone }) => {
    const past = view.band === 'past' && view.governing.kind === 'use-by';
    return !past && view.zone?.name === 'Middle shelf' && zone === view.zone.id;
  });
  const [fine, turning, bad, given, missing] = sound.map(({ view }) => view.code);
  if (!fine || !turning || !bad || !given || !missing)
    throw new Error('the middle shelf holds twelve things');
  const card = (code: string) => page.getByRole('article', { name: new RegExp(` ${code}$`) });
  await card(fine)
    .getByRole('button', { name: /is fine$/ })
    .click();
  await expect(card(fine)).toContainText(': fine');
  await card(turning)
    .getByRole('button', { name: /^Use .* next$/ })
    .click();
  await expect(card(turning)).toContainText(': use next');
  await card(bad).getByRole('button', { name: /^Bin / }).click();
  await card(given)
    .getByRole('button', { name: /^More of / })
    .click();
  await card(given).getByRole('button', { name: 'Give it away' }).click();
  await expect(card(given)).toHaveCount(0);
  await card(missing)
    .getByRole('button', { name: /^More of / })
    .click();
  await card(missing)
    .getByRole('button', { name: /is not there$/ })
    .click();
  await expect(card(missing)).toContainText(': not there');

  // Something of another zone lies here; half way one is called away, and goes on where one was.
  const [stray] = lying('Top shelf').filter((one) => date(one) > new Date().toISOString().slice(0, 10));
  if (!stray) throw new Error('the top shelf is empty');
  await page.getByLabel(/^Something else lies here/).fill(stray.code.toLowerCase());
  await page.getByRole('button', { name: 'It lies here' }).click();
  await expect(
    toast(page, new RegExp(`${stray.code}.*it lay in Middle shelf|${stray.code}: fine`)).first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Stop here' }).click();
  await page.reload();
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(card(turning)).toContainText(': use next');
  await page.getByRole('button', { name: /fine, next zone$|^Next zone$/ }).click();
  await expect(page.getByRole('heading', { name: 'Leaf drawer', exact: true })).toBeVisible();
  // Frozen, cooked and composted from the walk: they leave the zone, and the round goes on.
  const leaves = (await rounds(page)).things.filter(({ view }) => view.zone?.name === 'Leaf drawer');
  const named = (name: string): string => leaves.find(({ view }) => view.food.name === name)?.view.code ?? '';
  const [kale, chard, dill] = ['Kale', 'Chard', 'Dill'].map(named);
  await card(dill ?? '')
    .getByRole('button', { name: /^More of / })
    .click();
  await card(dill ?? '')
    .getByRole('button', { name: 'Compost it' })
    .click();
  await expect(card(dill ?? '')).toHaveCount(0);
  const sheet = page.getByRole('dialog');
  await card(kale ?? '')
    .getByRole('button', { name: /^More of / })
    .click();
  await card(kale ?? '')
    .getByRole('button', { name: 'Freeze, cook, correct …' })
    .click();
  await sheet.getByRole('button', { name: 'Freeze' }).click();
  await sheet.getByRole('button', { name: /^Drawer 1/ }).click();
  await expect(sheet).toContainText(/Frozen/);
  await sheet.getByRole('button', { name: 'Close' }).click();
  await expect(card(kale ?? '')).toHaveCount(0);
  await card(chard ?? '')
    .getByRole('button', { name: /^More of / })
    .click();
  await card(chard ?? '')
    .getByRole('button', { name: 'Freeze, cook, correct …' })
    .click();
  await sheet.getByRole('button', { name: /^Cook/ }).click();
  await sheet.getByRole('button', { name: 'Cooked and eaten' }).click();
  await expect(sheet).toContainText('Gone: cooked');
  await sheet.getByRole('button', { name: 'Close' }).click();
  await expect(sheet).toHaveCount(0);
  await expect(card(chard ?? '')).toHaveCount(0);
  await page.getByRole('button', { name: 'Skip it' }).click();
  await expect(page.getByText('1 zone is still open')).toHaveCount(0);
  await page.getByRole('button', { name: 'The round is over' }).click();
  await expect(page.getByRole('heading', { name: 'Not there last time' })).toBeVisible();
  await expectAccessible(page);

  await allAnswered(page);
  const after = await stock(page);
  expect([before.size - after.size, after.has(bad), after.has(given), after.has(missing)]).toEqual([
    4,
    false,
    false,
    true,
  ]);
  expect(after.get(stray.code)?.zone?.name).toBe('Middle shelf');
  for (const [code, one] of after) {
    const was = before.get(code);
    if (was && code !== stray.code && code !== kale)
      expect([code, date(one) <= date(was)]).toEqual([code, true]);
  }
  const view = await rounds(page);
  expect(view.use_up.filter((one) => one.found).map(({ code }) => code)).toEqual([turning]);
  expect(view.past[0]?.words).toMatch(/1 of 2 zones .*1 turning, 1 bad, 1 not there/);

  // The next round asks about it again, then it is lost.
  await begin(page, 'Middle shelf');
  await expect(card(missing)).toContainText('not there last time');
  await card(missing)
    .getByRole('button', { name: /^More of / })
    .click();
  await card(missing)
    .getByRole('button', { name: /is not there$/ })
    .click();
  await expect.poll(async () => (await stock(page)).has(missing)).toBe(false);
  await undoSince(page, found);
  expect([...(await stock(page)).keys()].sort()).toEqual([...before.keys()].sort());
});

test('on a phone without a network a round goes on, and all of it arrives once', async ({
  page,
  context,
}) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await begin(page, 'Leaf drawer');
  const cards = page.getByRole('article');
  const many = await cards.count();
  await context.setOffline(true);
  for (let at = 0; at < 2; at++) {
    const open = cards.filter({ has: page.getByRole('button', { name: /^Use .* next$/ }) });
    await open
      .first()
      .getByRole('button', { name: /^Use .* next$/ })
      .click();
  }
  await expect(cards.filter({ hasText: ': use next' })).toHaveCount(2);
  expect(await cards.count()).toBe(many);
  await page.getByRole('button', { name: /fine, next zone$/ }).click();
  await expect(page.getByRole('heading', { name: 'Everything was looked through' })).toBeVisible();
  await page.getByRole('button', { name: 'The round is over' }).click();
  await expect(page.getByRole('heading', { name: 'Walk along the zones' })).toBeVisible();
  await context.setOffline(false);
  await expect
    .poll(async () => (await rounds(page)).use_up.filter((one) => one.found).length, { timeout: 60_000 })
    .toBe(2);
});

test('a whole reset: everything out with its clock, confirmed, moved, corrected, binned, new; half done it is safe', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const before = await stock(page);
  await page.goto('/rounds/reset');
  await expectAccessible(page);
  await page.getByRole('checkbox', { name: /^Fruit drawer/ }).check();
  await page.getByRole('checkbox', { name: /^Door 2/ }).check();
  await page.getByRole('button', { name: /^Everything out: \d+ things$/ }).click();
  await expect(page.getByRole('heading', { name: /^Reset: Fruit drawer, Door 2/ })).toBeVisible();
  await expectAccessible(page);
  const { things } = await reset(page);
  expect(things.every(({ where }) => where === 'out')).toBe(true);
  const now = await stock(page);
  expect(things.every(({ view }) => now.get(view.code)?.counter_since != null)).toBe(true);

  // Called away: nothing is lost, the clock runs.
  await page.goto('/');
  await page.goto('/rounds/reset');
  await page.getByRole('button', { name: 'It is wiped' }).click();
  const cards = page.getByRole('article');
  await expect(cards).toHaveCount(things.length);
  await cards.first().getByRole('button', { name: /^Bin / }).click();
  await expect(cards).toHaveCount(things.length - 1);
  await cards
    .first()
    .getByRole('button', { name: / back to / })
    .click();
  await expect(cards).toHaveCount(things.length - 2);
  const line = page.getByRole('textbox', { name: 'Quick line: what came in' });
  await line.click();
  await line.pressSequentially('mustard 200 g > door 2');
  await expect(page.locator('#quick-reading')).toContainText('Door 2');
  await page.keyboard.press('Enter');
  await expect(toast(page, /^Stored Mustard/)).toBeVisible();
  await page.getByRole('button', { name: /^All \d+ back where they were$/ }).click();
  await expect(page.getByText('Everything is back, or gone.')).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'back, 0 still out, 1 gone' })).toContainText(
    '1 found that was not in these zones by the books',
  );
  await page.getByRole('button', { name: 'The reset is over' }).click();
  await expect(page.getByRole('list', { name: 'Earlier resets' })).toContainText('wiped');
  const after = await stock(page);
  expect(after.size).toBe(before.size);
  expect([...after.values()].filter((one) => one.counter_since !== null)).toHaveLength(
    [...before.values()].filter((one) => one.counter_since !== null).length,
  );
});

test('surplus is given away, compost composted, and a plan makes room for a shop', async ({ page }) => {
  await page.goto('/rounds/leaving');
  const give = page.getByRole('region', { name: 'Give away in time' });
  const lines = await give.getByRole('listitem').count();
  await give
    .getByRole('button', { name: /^Given away: / })
    .first()
    .click();
  await expect(give.getByRole('listitem')).toHaveCount(lines - 1);
  await page.getByRole('region', { name: 'For the compost' }).getByRole('button').last().click();
  await expect(toast(page, /Composted/)).toBeVisible();
  const room = page.getByRole('region', { name: 'Room for a shop' });
  await room.getByLabel('Room wanted').selectOption('80');
  await expect(room.getByRole('list', { name: 'The plan' }).getByRole('listitem').first()).toContainText(
    /due anyway|past its date|no cold|flat bag/,
  );
  await expectAccessible(page);
  const slip = await page.request.get('/api/v1/rounds/slip');
  expect((await slip.body()).subarray(0, 5).toString()).toBe('%PDF-');
});

test('what was lost stands in the charts, each with a summary, a table and a file; nothing is learnt from nothing', async ({
  page,
}) => {
  const before = await stock(page);
  const bin = [...before.values()].filter(({ zone }) => zone?.name === 'Leaf drawer').slice(0, 2);
  for (const { id, version } of bin) {
    const told = { id: crypto.randomUUID(), type: 'package.discard', package: id, version };
    const data = { ...told, amount: null, reason: 'spoiled' };
    expect((await page.request.post('/api/v1/commands', { data })).status()).toBe(200);
  }
  await page.goto('/ledger/look-back');
  const chart = page.getByRole('figure', { name: 'Lost, and why' });
  await expect(chart.getByRole('img').first()).toHaveAccessibleName(
    /^Lost, and why\. Lost: .*The most: spoiled/,
  );
  await expect(chart.locator('.js-plotly-plot, .main-svg').first()).toBeVisible();
  await chart.getByRole('button', { name: 'Money' }).click();
  await chart.getByText('As a table').click();
  await expect(chart.getByRole('rowheader', { name: 'spoiled' })).toBeVisible();
  await expectAccessible(page);
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    chart.getByRole('link', { name: 'CSV' }).click(),
  ]);
  expect(saved.suggestedFilename()).toBe('look-back.csv');
  await expect(page.getByRole('region', { name: 'How long it really lasts here' })).toContainText(
    'until then the published figure counts',
  );
});
