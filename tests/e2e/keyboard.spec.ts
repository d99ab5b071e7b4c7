import { type Locator, type Page } from '@playwright/test';
import { latest, undoSince } from './kitchen';
import { expect, test } from './page';

/** Presses Tab until the target has the focus, as one does who has no mouse. */
async function tabTo(page: Page, target: Locator, key: 'Tab' | 'Shift+Tab' = 'Tab'): Promise<void> {
  await target.waitFor();
  for (let presses = 0; presses < 150; presses++) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press(key);
  }
  throw new Error('the focus never came there');
}

test('Today by Tab and Enter alone: take, undo, a date’s trail', async ({ page }) => {
  await page.goto('/');
  const take = page.getByRole('button', { name: 'Take Pesto 180 g' });
  await tabTo(page, take);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Took Pesto 180 g.' })).toBeVisible();
  await page.keyboard.press('u');
  await expect(take).toBeVisible();
  await tabTo(page, page.getByRole('button', { name: /Why this date/ }).first());
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Why this date' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Why this date' })).toHaveCount(0);
});

test('Stock by Tab, Space and Enter alone: search, choose, labels', async ({ page }) => {
  await page.goto('/stock');
  await tabTo(page, page.getByRole('searchbox'));
  await page.keyboard.type('haddock');
  await expect(page.getByRole('row', { name: /Mussels/ })).toHaveCount(0);
  await tabTo(page, page.getByRole('checkbox', { name: /Choose Haddock/ }).first());
  await page.keyboard.press('Space');
  await tabTo(
    page,
    page.getByRole('region', { name: '1 chosen' }).getByRole('button', { name: 'Labels' }),
    'Shift+Tab',
  );
  await page.keyboard.press('Enter');
  await tabTo(page, page.getByRole('button', { name: 'Begin at sticker 4', exact: true }));
  await page.keyboard.press('Space');
  await expect(page.getByRole('link', { name: /Open the sheet/ })).toHaveAttribute('href', /start=4/);
});

test('Outage by Tab and Enter alone: when, door, what was seen', async ({ page }) => {
  await page.goto('/outage');
  const found = await latest(page);
  await tabTo(page, page.getByRole('button', { name: '2 h ago' }));
  await page.keyboard.press('Enter');
  const keeps = page.getByRole('region', { name: 'Keeps' });
  await expect(keeps.getByRole('button', { name: /^Chowder/ })).toBeVisible();
  const fridge = page.getByRole('region', { name: 'Larder fridge', exact: true });
  await tabTo(page, fridge.getByRole('button', { name: 'More of Larder fridge' }));
  await page.keyboard.press('Enter');
  await tabTo(page, fridge.getByRole('combobox', { name: 'Door' }));
  await page.keyboard.type('opened');
  const out = page.getByRole('region', { name: 'Throw out' });
  await expect(out.getByRole('button', { name: /^Chowder/ })).toBeVisible();
  await tabTo(page, keeps.getByRole('button', { name: /^Leeks/ }));
  await page.keyboard.press('Enter');
  await tabTo(page, keeps.getByRole('button', { name: 'Mould' }));
  await page.keyboard.press('Enter');
  await expect(out.getByRole('button', { name: /^Leeks/ })).toBeVisible();
  await undoSince(page, found);
});

test('touched twice before it came, the quick line keeps what was typed meanwhile', async ({ page }) => {
  await page.goto('/');
  await page.route('**/_next/static/chunks/**', async (route) => {
    await new Promise((done) => setTimeout(done, 1500));
    await route.fallback();
  });
  const line = page.getByRole('textbox', { name: 'Quick line: what came in' });
  await line.focus();
  await line.blur();
  await line.focus();
  await page.keyboard.type('fennel 300 g');
  await expect(page.locator('#quick-reading')).toContainText('one package of 300 g');
  await expect(line).toHaveValue('fennel 300 g');
});

test('an example of the line begins it, also the second time, and Enter is heard there', async ({ page }) => {
  await page.goto('/stock');
  const line = page.getByRole('textbox', { name: 'Quick line: what came in' });
  for (const typed of ['', 'something else']) {
    await line.fill(typed);
    await line.blur();
    // A key pressed before the page hears keys is lost.
    await expect(async () => {
      await page.keyboard.press('?');
      await expect(page.getByRole('button', { name: '3 lemons' })).toBeVisible({ timeout: 3000 });
    }).toPass();
    await page.getByRole('button', { name: '3 lemons' }).click();
    await expect(line).toHaveValue('3 lemons');
    await expect(line).toBeFocused();
  }
});
