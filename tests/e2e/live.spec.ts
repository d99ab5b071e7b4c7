import type { Page } from '@playwright/test';
import { expect, test } from './page';

test('a label scanned at a phone to “taken” is two taps; the screen beside it shows it by itself, and who', async ({
  page,
  browser,
  baseURL,
}) => {
  const stock = (await (await page.request.get('/api/v1/stock?q=haddock')).json()) as {
    packages: { code: string; food: { name: string } }[];
  };
  const packages = stock.packages.filter(({ food }) => food.name === 'Haddock');
  const { code = '' } = packages[0] ?? {};
  await page.goto('/stock?q=haddock');
  const ticks = page.getByRole('checkbox', { name: /^Choose Haddock/ });
  await expect(ticks).toHaveCount(packages.length);
  // Its first asking is answered: from now on it is live.
  await page.waitForResponse(/\/api\/v1\/changes/);

  const phone = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    baseURL,
    storageState: await page.context().storageState(),
  });
  const [who = ''] = ((await (await page.request.get('/api/v1/households')).json()) as { people: string[] })
    .people;
  expect((await phone.request.post('/api/v1/households/person', { data: { name: who } })).status()).toBe(200);
  const other: Page = await phone.newPage();
  await other.goto(`/p/${code}`);
  await other.getByRole('button', { name: /^Take/ }).first().tap();
  await expect(ticks).toHaveCount(packages.length - 1, { timeout: 60_000 });
  await expect(page.getByText(`${who}: Took Haddock`)).toBeVisible();
  await other.close();
  await phone.close();
});
