import { expect, test } from './page';

test('search forgives spelling, filters hold in the address, groups and labels work', async ({ page }) => {
  await page.goto('/stock');
  await page.getByRole('searchbox').fill('musels');
  await expect(page.getByRole('row', { name: /Mussels/ })).toHaveCount(1);
  await expect(page).toHaveURL(/q=musels/);
  await page.reload();
  await expect(page.getByRole('row', { name: /Mussels/ })).toHaveCount(1);
  await page.getByRole('searchbox').fill('zzzz');
  await expect(page.getByRole('heading', { name: 'Nothing found' })).toBeVisible();
  await page.getByRole('button', { name: 'Show everything' }).click();
  await page.getByLabel('State').selectOption('frozen');
  await expect(page.getByRole('row', { name: /Mussels/ })).toHaveCount(0);
  await page.getByLabel('Order').selectOption('zone');
  await expect(page.getByRole('heading', { name: /^Layer 2, Boat-shed chest · \d+/ })).toBeVisible();
  await page
    .getByRole('checkbox', { name: /Choose Haddock/ })
    .first()
    .check();
  await page
    .getByRole('checkbox', { name: /Choose Haddock/ })
    .nth(1)
    .check();
  const chosen = page.getByRole('region', { name: '2 chosen' });
  await chosen.getByRole('button', { name: 'Labels' }).click();
  await expect(page.getByRole('heading', { name: 'Labels for 2 packages' })).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();

  // What is chosen is put together or taken as one, and one undo brings all of it back.
  const haddock = page.getByRole('row', { name: /Haddock/ });
  const before = await haddock.count();
  await chosen.getByRole('button', { name: 'Take them' }).click();
  await expect(haddock).toHaveCount(before - 2);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(haddock).toHaveCount(before);
  for (const at of [0, 1]) await haddock.nth(at).getByRole('checkbox').check();
  await chosen.getByRole('button', { name: 'Put together' }).click();
  await expect(haddock).toHaveCount(before - 1);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(haddock).toHaveCount(before);
});

test('the address on a label opens the package; an unknown one says so', async ({ page }) => {
  const { packages } = await (await page.request.get('/api/v1/stock?q=venison+haunch')).json();
  await page.goto(`/p/${packages[0].code.toLowerCase()}`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Venison haunch, 2.1 kg');
  await expect(page.getByRole('button', { name: 'Move down to thaw' })).toBeVisible();
  const { status } = await (async () => ({ status: (await page.goto('/p/ZZ99'))?.status() }))();
  expect(status).toBe(404);
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
});

test('a screen reader hears food, amount, place, date and band of every package; every date opens its trail', async ({
  page,
}) => {
  const heard =
    /^.+, (\d+ × )?[\d.]+( (g|kg|ml|l))?, .+, (use|best) by \w+day \d+ \w+ \d{4}, (settled|soon|last day|past its date)/;
  await page.goto('/');
  const rows = page
    .getByRole('list', { name: 'Asks for an answer' })
    .getByRole('button', { name: /Answer\.$/ });
  for (const row of await rows.all()) expect(await row.getAttribute('aria-label')).toMatch(heard);
  await page.goto('/stock');
  const packages = page.getByRole('row').getByRole('button', { name: heard });
  await expect(packages.first()).toBeVisible();
  expect(await packages.count()).toBe((await page.getByRole('checkbox').count()) as number);
  const dates = page.getByRole('row').getByRole('button', { name: /Why this date/ });
  expect(await dates.filter({ visible: true }).count()).toBe(await packages.count());
  await page.goto('/');
  await page.getByRole('button', { name: /^Middle shelf/ }).click();
  const zone = page.getByRole('dialog', { name: 'Middle shelf' });
  await expect(zone.getByRole('button', { name: heard }).first()).toBeVisible();
  await zone
    .getByRole('button', { name: /Why this date/ })
    .first()
    .click();
  await expect(page.getByRole('dialog', { name: 'Why this date' })).toContainText('When in doubt');
});
