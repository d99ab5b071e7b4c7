import { expect, test } from './page';

test('after a cut every package gets a verdict with its reason, and what was seen changes it', async ({
  page,
}) => {
  await page.goto('/outage');
  await expect(page.getByText('Tell when the power went off.')).toBeVisible();
  await expect(async () => {
    await page.getByRole('button', { name: '24 h ago' }).click();
    await expect(page.getByRole('region', { name: 'Throw out' })).toBeVisible({ timeout: 1000 });
  }).toPass();
  const out = page.getByRole('region', { name: 'Throw out' });
  await out.getByRole('button', { name: /^Mussels/ }).click();
  await expect(out).toContainText(/without power; the published limit is 4 h/);
  await expect(out).toContainText(/Rule O2 · published limit · after .*FoodSafety/);

  const look = page.getByRole('region', { name: 'Look first' });
  await look.getByRole('button', { name: /^Haddock/ }).click();
  await look.getByRole('button', { name: 'No ice' }).click();
  await expect(out.getByRole('button', { name: /^Haddock/ })).toBeVisible();
  await out.getByRole('button', { name: 'Ice crystals' }).click();
  await expect(
    page.getByRole('region', { name: 'Freeze again, for cooking' }).getByRole('button', { name: /^Haddock/ }),
  ).toBeVisible();

  const chest = page.getByRole('group', { name: 'Boat-shed chest' });
  await chest.getByLabel(/^Telltale/).selectOption('loose');
  await expect(
    page.getByRole('region', { name: 'Keeps' }).getByRole('button', { name: /^Mutton mince/ }),
  ).toBeVisible();

  const fridge = page.getByRole('group', { name: 'Larder fridge' });
  await fridge.getByRole('checkbox').uncheck();
  await expect(page.getByRole('button', { name: /^Mussels/ })).toHaveCount(0);
  await fridge.getByRole('checkbox').check();
  const hoursAgo = (hours: number) => {
    const at = new Date(Date.now() - hours * 3_600_000);
    return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
  };
  for (const [nth, hours] of [
    [0, 23],
    [1, 0.1],
  ] as const) {
    await fridge.getByRole('button', { name: 'Add a thermometer reading' }).click();
    await fridge.getByLabel('Read at').nth(nth).fill(hoursAgo(hours));
    await fridge.getByLabel('°C').nth(nth).fill('3,5');
  }
  await expect(
    page.getByRole('region', { name: 'Keeps' }).getByRole('button', { name: /^Mussels/ }),
  ).toBeVisible();
});

test('times that cannot be are told, and keep what was typed', async ({ page }) => {
  await page.goto('/outage');
  await page.getByLabel('Power went off').fill('2026-01-05T10:00');
  await page.getByLabel(/^Power came back/).fill('2026-01-05T09:00');
  await expect(page.getByText('The power came back before it went')).toBeVisible();
  await expect(page.getByLabel('Power went off')).toHaveValue('2026-01-05T10:00');
  await page.getByLabel('Power went off').fill('2099-01-05T10:00');
  await expect(page.getByText('cannot have gone off after now')).toBeVisible();
});
