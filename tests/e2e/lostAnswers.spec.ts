import { type Page, type Route } from '@playwright/test';
import { toast, typeLine } from './kitchen';
import { expect, test } from './page';

const COMMANDS = '**/api/v1/commands';

/** Packages that are there, by the word on their label. */
async function countCalled(page: Page, called: string): Promise<number> {
  const answer = await page.request.get(`/api/v1/stock?q=${encodeURIComponent(called)}&limit=500`);
  const { packages } = (await answer.json()) as { packages: { food: { name: string } }[] };
  return packages.filter(({ food }) => food.name.toLowerCase() === called).length;
}

/** The server does it, and its answer never arrives. */
const doneAndLost = async (route: Route): Promise<void> => {
  await route.fetch();
  await route.abort('connectionreset');
};
/** It never arrives at the server. */
const neverArrives = (route: Route): Promise<void> => route.abort('connectionrefused');

test('an answer is lost, and Enter is pressed again: it is stored once, and the page says so', async ({
  page,
}) => {
  await page.goto('/');
  const before = await countCalled(page, 'kohlrabi');
  await typeLine(page, 'kohlrabi 700 g');
  await expect(page.locator('#quick-reading')).toContainText('one package of 700 g');
  await page.route(COMMANDS, doneAndLost);
  await page.keyboard.press('Enter');
  await expect(toast(page, 'Not known yet, asking again.')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await page.unroute(COMMANDS);
  await expect(toast(page, /Stored Kohlrabi/)).toBeVisible();
  await expect(toast(page, 'Not known yet')).toHaveCount(0);
  expect(await countCalled(page, 'kohlrabi')).toBe(before + 1);
});

test('where nobody looks for a place, what lives in a freezer asks which one, and the rest stays on the counter', async ({
  page,
}) => {
  await page.goto('/');
  await page.route('**/api/v1/zones/for-lines', neverArrives);
  const reading = page.locator('#quick-reading');
  await typeLine(page, 'ice cream 1 l');
  await expect(reading).toContainText('lives in a freezer. Which one?');
  await typeLine(page, 'celeriac 700 g');
  await expect(reading).toContainText('one package of 700 g');
  await page.keyboard.press('Enter');
  await expect(toast(page, /On the counter: Celeriac/)).toBeVisible();
});

test('what could not be sent is kept over a reload, sent again in its order, and dated when it was told', async ({
  page,
}) => {
  await page.goto('/stock?q=mince');
  await page.route(COMMANDS, neverArrives);
  const before = await countCalled(page, 'fennel');
  await typeLine(page, 'fennel 300 g');
  await expect(page.locator('#quick-reading')).toContainText('one package of 300 g');
  const told = Date.now();
  await page.keyboard.press('Enter');
  await expect(toast(page, 'Not known yet, asking again.')).toBeVisible();
  await page.reload();
  await expect(toast(page, 'Not known yet, asking again.')).toBeVisible();
  expect(await countCalled(page, 'fennel')).toBe(before);
  await page.waitForTimeout(3000);
  const answered = page.waitForResponse(COMMANDS);
  await page.unroute(COMMANDS);
  const arrived = await answered;
  const heard = Date.now();
  await expect(toast(page, /Stored Fennel.*told before, answered now/)).toBeVisible();
  expect(await countCalled(page, 'fennel')).toBe(before + 1);
  const ledger = (await (await page.request.get('/api/v1/ledger?limit=5')).json()) as {
    entries: { says: string; at: string }[];
  };
  const entry = ledger.entries.find(({ says }) => says.includes('Fennel'));
  const [{ ago_ms: ago }] = arrived.request().postDataJSON() as [{ ago_ms: number }];
  expect(ago).toBeGreaterThan(3000);
  const at = Date.parse(entry?.at ?? '');
  expect(at).toBeGreaterThanOrEqual(told - 5);
  expect(at).toBeLessThanOrEqual(heard - ago + 5);
  await page.reload();
  await page.waitForTimeout(1500);
  expect(await countCalled(page, 'fennel')).toBe(before + 1);
});

test('what is refused when it arrives late is told, and not asked again', async ({ page }) => {
  await page.goto('/');
  const { packages } = (await (await page.request.get('/api/v1/stock?limit=1&state=frozen')).json()) as {
    packages: { id: string; code: string; version: number }[];
  };
  const [found] = packages;
  await page.route(COMMANDS, neverArrives);
  await page.goto(`/p/${found?.code}`);
  await page.getByRole('button', { name: 'To the counter' }).click();
  await expect(toast(page, 'Not known yet, asking again.')).toBeVisible();
  const move = { id: crypto.randomUUID(), type: 'package.open', package: found?.id, version: found?.version };
  expect((await page.request.post('/api/v1/commands', { data: move })).status()).toBe(200);
  await page.reload();
  await page.unroute(COMMANDS);
  await expect(toast(page, /What you told it before was refused/)).toBeVisible();
  await expect(toast(page, 'Not known yet')).toHaveCount(0);
  const undo = { id: crypto.randomUUID(), type: 'ledger.undo', command: move.id };
  expect((await page.request.post('/api/v1/commands', { data: undo })).status()).toBe(200);
});
