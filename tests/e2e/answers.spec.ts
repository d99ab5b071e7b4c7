import { randomUUID } from 'node:crypto';
import { line } from '../fixtures/api';
import { expect, test } from './page';
import { toast, typeLine } from './kitchen';

test('several are ticked and answered by one key, and a food is answered as the last time', async ({
  page,
}) => {
  await page.goto('/');
  const rows = page.getByRole('list', { name: 'Asks for an answer' }).locator('[data-row-name]');
  const before = await rows.count();
  const eatable = rows.filter({ hasNotText: /not for eating|look first/ });
  const [first, second] = [eatable.nth(0), eatable.nth(1)];
  const names = [await first.innerText(), await second.innerText()].map((text) => text.split(' · ')[0] ?? '');
  await first.focus();
  await page.keyboard.press('x');
  await second.focus();
  await page.keyboard.press('x');
  await expect(page.getByRole('region', { name: '2 ticked' })).toContainText('2 ticked');
  await page.keyboard.press('e');
  await expect(rows).toHaveCount(before - 2);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(rows).toHaveCount(before);

  // How each was answered is known by its food, not by the tick.
  await rows
    .filter({ hasText: names[0] ?? '' })
    .first()
    .focus();
  await page.keyboard.press('a');
  await expect(rows).toHaveCount(before - 1);
  await expect(page.getByRole('region', { name: 'To be eaten' })).toContainText(names[0] ?? '');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(rows).toHaveCount(before);
});

test('Back closes what lies over the page, one after the other, and only then leaves it', async ({
  page,
}) => {
  await page.goto('/ledger');
  await page.goto('/stock');
  await page
    .getByRole('button', { name: /Why this date/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Why this date' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page).toHaveURL(/\/stock$/);
  // Closed by its own button it leaves nothing behind that Back would have to go through.
  await page
    .getByRole('button', { name: /Why this date/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.goBack();
  await expect(page).toHaveURL(/\/ledger$/);

  // Whoever closes it and goes on in the same breath gets there, and comes back past it in one step each.
  await page.goto('/stock');
  await page
    .getByRole('button', { name: /Why this date/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Why this date' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Outage' }).click();
  await expect(page).toHaveURL(/\/outage$/);
  await page.goBack();
  await expect(page).toHaveURL(/\/stock$/);
  await expect(page.getByRole('heading', { name: 'Stock', level: 1 })).toBeVisible();
  await page.goBack();
  await expect(page).toHaveURL(/\/ledger$/);
});

test('verbs at the line: open, move, where, freeze refused in words, bin and undo', async ({ page }) => {
  await page.goto('/');
  const reading = page.locator('#quick-reading');
  const line = page.locator('#quick-line');
  const told = async (text: string, says: RegExp): Promise<void> => {
    await typeLine(page, text);
    await expect(reading.getByRole('button', { name: /Enter/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(toast(page, says).last()).toBeVisible();
    await expect(line).toHaveValue('');
  };
  await told('gooseberry jam 2 x 300 g > middle shelf like jam', /Stored/);
  // Entered before the line knows where it lies, and right behind another: done as soon as it knows.
  await page.route('**/api/v1/foods/*', async (route) => {
    await new Promise((done) => setTimeout(done, 1500));
    await route.fallback();
  });
  for (const [text, says] of [
    ['open gooseberry jam', /opened/i],
    ['move gooseberry jam > top shelf', /Top shelf/],
  ] as const) {
    await typeLine(page, text);
    await page.keyboard.press('Enter');
    await expect(toast(page, says).last()).toBeVisible();
    await expect(line).toHaveValue('');
  }
  await page.unroute('**/api/v1/foods/*');
  // Without an answer it says so; Enter asks again, and does it then.
  await page.route('**/api/v1/foods/*', (route) => route.abort('connectionrefused'));
  await typeLine(page, 'move quark > top shelf');
  await expect(reading).toContainText('does not answer');
  await page.keyboard.press('Enter');
  await expect(reading).toContainText('does not answer');
  await page.unroute('**/api/v1/foods/*');
  await page.keyboard.press('Enter');
  await expect(toast(page, /^Quark .* moved to Top shelf/).last()).toBeVisible();
  await told('undo', /Undone: Quark/);
  await typeLine(page, 'where is the gooseberry jam');
  await expect(reading).toContainText(/Middle shelf|Top shelf/);
  await told('bin gooseberry jam', /Binned|thrown|Discarded/i);
  await told('undo', /Undone/);
});

test('what was unfolded in the ledger stays so after an undo', async ({ page }) => {
  const tell = async (told: Record<string, unknown>): Promise<string> => {
    const id = randomUUID();
    const answer = await page.request.post('/api/v1/commands', { data: { id, ...told } });
    expect([await answer.text(), answer.status()]).toEqual([expect.anything(), 200]);
    return id;
  };
  for (let at = 0; at < 28; at++)
    await tell({
      type: 'ledger.undo',
      command: await tell({ type: 'haul.store', lines: [line({ packs: 1 })] }),
    });
  await tell({ type: 'haul.store', lines: [line({ packs: 1 })] });
  await page.goto('/ledger');
  const entries = page.getByRole('main').getByRole('listitem');
  const shown = await entries.count();
  await page.getByRole('button', { name: 'Show earlier' }).click();
  await expect.poll(() => entries.count()).toBeGreaterThan(shown);
  const more = await entries.count();
  await entries.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(toast(page, 'Undone')).toBeVisible();
  await expect.poll(() => entries.count()).toBeGreaterThanOrEqual(more);
});
