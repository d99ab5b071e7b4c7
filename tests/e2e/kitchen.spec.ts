import { type Page } from '@playwright/test';
import { expect, test } from './page';
import { expectAccessible, toast } from './kitchen';

const inRow = (page: Page, name: string) =>
  page.getByRole('row').filter({ has: page.getByRole('rowheader', { name, exact: true }) });

test('a container is measured, refused, kept, fitted, changed and given up; undo brings it back', async ({
  page,
}) => {
  await page.goto('/kitchen/containers');
  await page
    .getByRole('combobox', { name: 'Zone', exact: true })
    .selectOption({ label: 'Drawer 2, Under-drawer' });
  await expect(inRow(page, 'Flat bag')).toContainText('lying');
  await page.getByRole('button', { name: 'Add a container' }).click();
  const sheet = page.getByRole('dialog', { name: 'A container of yours' });
  const keep = sheet.getByRole('button', { name: 'Keep it' });
  await expect(keep).toBeDisabled();
  await sheet.getByLabel('Name').fill('Loaf box');
  await sheet.getByLabel('Long, mm').fill('300');
  await sheet.getByLabel('Wide, mm').fill('130');
  await sheet.getByLabel('High, mm').fill('100');
  await sheet.getByLabel('Litres').fill('30');
  await expect(sheet.getByText(/cannot hold 30 litres/)).toBeVisible();
  await expect(keep).toBeDisabled();
  await sheet.getByLabel('Litres').fill('');
  await sheet.getByLabel('How many').fill('4');
  await keep.click();
  await expect(toast(page, '4 × Loaf box among the containers.')).toBeVisible();
  // 440 − 40 = 400 wide, 330 deep, 170 high from above: 130 across three times, 300 to the back, one high; four are there.
  await expect(inRow(page, 'Loaf box')).toHaveText(/standing\s*3\s*1\s*1\s*3 of 4/);
  await page.getByRole('button', { name: 'Loaf box', exact: true }).click();
  await expect(
    page.getByRole('img', { name: '3 across and 1 high, seen from the front; 1 behind each other' }),
  ).toBeVisible();
  await page
    .getByRole('combobox', { name: 'Zone', exact: true })
    .selectOption({ label: 'Door 1, Larder fridge' });
  await expect(inRow(page, 'Loaf box')).toContainText(/\d+ mm/);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Change Loaf box' }).click();
  await page.getByRole('button', { name: 'Not ours any more' }).click();
  await expect(page.getByRole('button', { name: 'Change Loaf box' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('button', { name: 'Change Loaf box' })).toBeVisible();
});

test('the check tells why and mends with one button; the walk is ticked off', async ({ page }) => {
  await page.goto('/kitchen/tidy');
  const moved = page.getByRole('button', { name: /^Moved: / });
  const before = await moved.count();
  expect(before).toBeGreaterThan(0);
  await page.goto('/kitchen/check');
  const finding = page.getByRole('listitem').filter({ hasText: 'Pesto lies in Door 2.' });
  await expect(finding).toContainText('Above 4 °C its days run out faster');
  await finding.getByRole('button', { name: /^Move to / }).click();
  await expect(toast(page, /^Pesto .* moved to /)).toBeVisible();
  await expect(finding).toHaveCount(0);
  await expect(page.getByText('nothing is wrong')).toBeVisible();
  await page.goto('/kitchen/tidy');
  const [first] = await moved.all();
  if (!first) throw new Error('nothing to tidy');
  await first.click();
  await expect(first).toBeDisabled();
  await expect(first).toHaveAttribute('aria-label', /^Moved: /);
  await expectAccessible(page);
});

test('the chest plan shows each layer with its lifts, and papers open', async ({ page }) => {
  await page.goto('/kitchen');
  await page.getByRole('button', { name: /^Boat-shed chest/ }).click();
  const labels = await page.getByRole('link', { name: 'Zone labels' }).getAttribute('href');
  await page.getByRole('link', { name: 'Chest plan' }).click();
  await expect(page.getByRole('img', { name: /from the side: .*Layer 2, 2 lifts/ })).toBeVisible();
  await expect(inRow(page, 'Layer 2')).toContainText('Venison haunch');
  const plan = await page.getByRole('link', { name: 'Print the plan' }).getAttribute('href');
  for (const address of [labels, plan]) {
    const paper = await page.request.get(address ?? '');
    expect([paper.status(), paper.headers()['content-type']]).toEqual([200, 'application/pdf']);
  }
  await expectAccessible(page);
  expect((await page.goto('/kitchen/chest/nonsense'))?.status()).toBe(404);
});

test('a zone with a limit tells when it is full, a place kept free says so on Today', async ({ page }) => {
  const { appliances } = await (await page.request.get('/api/v1/today')).json();
  const { id } = appliances.find(({ name }: { name: string }) => name === 'Larder fridge');
  await page.goto(`/kitchen/draw/${id}`);
  await page.locator('[data-zone-box="Top shelf"]').click();
  await page.getByLabel('Holds at most, litres').fill('2');
  await page.getByLabel('Holds at most, litres').blur();
  await page.getByRole('button', { name: 'Save the drawing' }).click();
  await page.getByRole('button', { name: /^Larder fridge/ }).click();
  await expect(page.getByText('It holds all it shall: eat it down first.')).toBeVisible();
  await page.goto('/kitchen/check');
  await expect(page.getByText('Top shelf holds more than the 2 litres you set for it.')).toBeVisible();
  await page.goto('/ledger');
  await page
    .getByRole('button', { name: /Undo.*Larder fridge is drawn anew/ })
    .first()
    .click();
  await expect(toast(page, /^Undone/)).toBeVisible();
  await page.goto('/kitchen/check');
  await expect(page.getByText('holds more than')).toHaveCount(0);
});

test('upkeep: picked, due by frost, done; ice packs ahead of a day', async ({ page }) => {
  await page.goto('/kitchen/upkeep');
  await page.getByRole('combobox', { name: 'What', exact: true }).selectOption('Defrost');
  await page.getByRole('combobox', { name: 'Where', exact: true }).selectOption('Under-drawer');
  await page.getByRole('button', { name: 'Add it' }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'Defrost, Under-drawer' });
  await row.getByRole('button', { name: /^Done/ }).click();
  await expect(row).toContainText('every 180 days, next');
  await row.getByLabel('Frost, mm').fill('6');
  await row.getByRole('button', { name: 'Measured' }).click();
  await expect(row).toContainText('due: 6 mm of frost');
  const { jobs } = await (await page.request.get('/api/v1/today')).json();
  expect(jobs.map(({ says }: { says: string }) => says)).toContain('Defrost, Under-drawer');
  await row.getByRole('button', { name: /^Done/ }).click();
  await expect(row).not.toContainText('mm of frost');
  await page.getByRole('combobox', { name: 'What', exact: true }).selectOption('Freeze ice packs');
  await page.getByLabel('They are needed on').fill('2020-01-01');
  await expect(page.getByRole('button', { name: 'Add it' })).toBeDisabled();
  await row.getByRole('button', { name: /^No longer/ }).click();
  await expect(row).toHaveCount(0);
  await expectAccessible(page);
});
