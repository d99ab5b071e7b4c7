import { expect, test } from './page';
import { expectAccessible, toast, typeLine } from './kitchen';

const HOUR = 3_600_000;
const plain = (days: number): string =>
  new Date(Date.now() + days * 24 * HOUR).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });

test('a part of a closed pack: its opened date, in words, and where it may go', async ({ page }) => {
  await page.goto('/');
  await typeLine(page, `lunch ham 300 g use by ${plain(24)} > top shelf`);
  const reading = page.locator('#quick-reading');
  await expect(reading).toContainText('in 24 days');
  await page.keyboard.press('Enter');
  await expect(toast(page, 'Stored')).toBeVisible();
  const { packages } = await (await page.request.get('/api/v1/stock?q=lunch%20ham&limit=5')).json();
  const { code } = packages.find((one: { opened: boolean }) => !one.opened);
  await page.goto(`/p/${code}`);
  await page.getByRole('button', { name: 'Take part' }).click();
  await page.getByLabel('How much?').fill('100');
  await expect(page.getByText('What stays counts as opened today.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(toast(page, 'what stays is open now, use by')).toBeVisible();
  await expect(page.getByText('chilled, opened')).toBeVisible();
  const due = await page.request.get(`/api/v1/packages/${code}`);
  const { use_by, opened } = await due.json();
  expect([opened, Math.round((Date.parse(use_by) - Date.now()) / (24 * HOUR)) <= 5]).toEqual([true, true]);

  // Where it may go: the best is marked, the others say what speaks against them.
  await page.getByRole('button', { name: 'Move', exact: true }).click();
  const places = page.getByRole('group', { name: 'Which zone?' });
  await expect(places.getByRole('button').first()).toContainText('best:');
  await expect(places.getByRole('button', { name: /^Door 1/ })).toContainText('needs 4 °C or colder');
  await expectAccessible(page);
});

test('dates as people mistype them are told plainly, and nothing is stored', async ({ page }) => {
  await page.goto('/');
  const reading = page.locator('#quick-reading');
  for (const [text, says] of [
    [`leeks 600 g bought ${plain(4)}`, 'is still to come: not yet'],
    ['leeks 600 g use by 31 nov', 'That date does not exist'],
    [`chicken thighs 600 g use by ${plain(-6)}`, '6 days ago'],
    [`chicken thighs 600 g use by ${plain(-6)}`, 'Not for eating any more'],
    ['ice cream 1 l > top shelf', 'lives in a freezer. Which one?'],
    ['trout 400 g bought frozen > layer 1', 'Bought frozen: best within'],
  ] as const) {
    await typeLine(page, text);
    await expect(reading).toContainText(says);
  }
});

test('an undone stay out of the cold asks where it was; an odd reading is asked about', async ({ page }) => {
  await page.goto('/');
  const { packages } = await (await page.request.get('/api/v1/stock?state=chilled&limit=100')).json();
  const found = packages.find(
    (one: { controlled: boolean; zone: object | null; verdict: string; days_left: number }) =>
      one.controlled && one.zone && one.verdict === 'eat' && one.days_left > 1,
  );
  const moved = await page.request.post('/api/v1/commands', {
    data: {
      id: crypto.randomUUID(),
      type: 'package.move',
      package: found.id,
      version: found.version,
      zone: null,
      at: new Date(Date.now() - 40 * 60_000).toISOString(),
    },
  });
  expect(moved.status()).toBe(200);
  await page.goto('/ledger');
  const entry = page
    .getByRole('listitem')
    .filter({ hasText: `${found.code} is on the counter` })
    .first();
  await entry.getByRole('button', { name: 'Undo' }).click();
  const sheet = page.getByRole('dialog', { name: 'Where was it meanwhile?' });
  await expect(sheet).toContainText('minutes');
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'It stood out: count the minutes' }).click();
  await expect(toast(page, 'Undone')).toBeVisible();
  const { trail, zone } = await (await page.request.get(`/api/v1/packages/${found.code}`)).json();
  expect([zone === null, trail.length > 0]).toEqual([false, true]);

  await page.goto('/kitchen');
  await page
    .getByRole('button', { name: /^Larder fridge/ })
    .first()
    .click();
  await page.getByRole('button', { name: /^Middle shelf: .* Read the thermometer/ }).click();
  await page.getByLabel('The thermometer reads, °C').fill('38');
  await page.getByRole('button', { name: 'Keep' }).click();
  const odd = page.getByRole('dialog', { name: 'Is that reading right?' });
  await expect(odd).toContainText('38 °F would be 3 °C');
  await odd.getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(odd).toBeHidden();
});
