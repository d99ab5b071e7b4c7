import { expect, test } from './page';

test('asked in plain words, counted in groups, opened to packages; filters hold in the address', async ({
  page,
}) => {
  await page.goto('/stock');
  const ask = page.getByRole('searchbox');
  await ask.fill('musels');
  await expect(page.getByRole('row', { name: /Mussels/ })).toHaveCount(1);
  await expect(page.getByRole('button', { name: 'Without: mussel' })).toContainText('you mean');
  await expect(page).toHaveURL(/q=musels/);
  await page.reload();
  await expect(page.getByRole('row', { name: /Mussels/ })).toHaveCount(1);
  await ask.fill('zzzz');
  await expect(page.getByRole('heading', { name: 'Nothing found' })).toBeVisible();
  await expect(page.getByText('“zzzz” means nothing here')).toBeVisible();
  await page.getByRole('button', { name: 'Show everything' }).click();
  await page.getByLabel('Counted by').selectOption('zone');
  await page.getByLabel('State').selectOption('frozen');
  await expect(page.getByRole('button', { name: /^Layer 2, Boat-shed chest, \d+ packs/ })).toBeVisible();
  await page.getByLabel('Counted by').selectOption('food');
  await page.getByLabel('State').selectOption('');

  // Words combine, say what they were understood as, and each is taken out with one press.
  await ask.fill('frozen, raw meat, older than 3 months');
  await expect(page.getByRole('button', { name: 'Without: older than 3 months' })).toBeVisible();
  const few = Number(/^(\d+) pack/.exec(await page.getByRole('status').first().innerText())?.[1]);
  await page.getByRole('button', { name: 'Without: older than 3 months' }).click();
  await expect(ask).toHaveValue('frozen, raw meat');
  const packs = async (): Promise<number> =>
    Number(/^(\d+) pack/.exec(await page.getByRole('status').first().innerText())?.[1]);
  await expect.poll(packs).toBeGreaterThan(few);
  const { packages } = (await (
    await page.request.get('/api/v1/stock?q=frozen,+raw+meat&limit=500')
  ).json()) as {
    packages: { state: string }[];
  };
  expect(packages).toHaveLength(await packs());
  expect(packages.every(({ state }) => state === 'frozen')).toBe(true);
  const table = await (await page.request.get('/api/v1/stock/csv?q=frozen,+raw+meat')).text();
  expect(table.trim().split('\n')).toHaveLength(packages.length + 1);
  const sheet = await page.request.get('/api/v1/stock/list?q=frozen,+raw+meat');
  expect(sheet.headers()['content-type']).toBe('application/pdf');

  // What is asked again and again is kept, and one press from then on.
  await page.getByRole('button', { name: 'Keep this question' }).click();
  await expect(page.getByRole('button', { name: 'Do not keep this question' })).toBeVisible();
  await ask.fill('');
  await page.getByRole('button', { name: 'frozen, raw meat', exact: true }).click();
  await expect(ask).toHaveValue('frozen, raw meat');

  // By keys: along the groups, one is opened, its first is taken.
  await ask.fill('haddock');
  const haddock = page.getByRole('button', { name: /^Haddock, \d+ packs/ });
  await expect(haddock).toHaveAttribute('aria-expanded', 'true');
  await haddock.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(haddock).toHaveAttribute('aria-expanded', 'false');
  await page.keyboard.press('ArrowRight');
  await expect(haddock).toHaveAttribute('aria-expanded', 'true');
  const single = page.getByRole('checkbox', { name: /^Choose Haddock/ });
  await expect(single.first()).toBeVisible();
  const before = await single.count();
  await haddock.focus();
  await page.keyboard.press('-');
  await expect(single).toHaveCount(before - 1);
  await page.keyboard.press('u');
  await expect(single).toHaveCount(before);

  // What is chosen is labelled, put together or taken as one, and one undo brings all of it back.
  for (const at of [0, 1]) await single.nth(at).check();
  const chosen = page.getByRole('region', { name: '2 chosen' });
  await chosen.getByRole('button', { name: 'Labels' }).click();
  await expect(page.getByRole('heading', { name: 'Labels for 2 packages' })).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await chosen.getByRole('button', { name: 'Take them' }).click();
  await expect(single).toHaveCount(before - 2);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(single).toHaveCount(before);
  for (const at of [0, 1]) await single.nth(at).check();
  await chosen.getByRole('button', { name: 'Put together' }).click();
  await expect(single).toHaveCount(before - 1);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(single).toHaveCount(before);
});

test('the address on a label opens the package; an unknown one says so', async ({ page }) => {
  const { packages } = await (await page.request.get('/api/v1/stock?q=venison+haunch')).json();
  await page.goto(`/p/${packages[0].code.toLowerCase()}`);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Venison haunch, 2.1 kg');
  await expect(page.getByRole('button', { name: 'Move down to thaw' })).toBeVisible();
  const { status } = await (async () => ({ status: (await page.goto('/p/ZZ99'))?.status() }))();
  expect(status).toBe(404);
  await expect(page.getByRole('heading', { name: 'There is nothing here by that code' })).toBeVisible();
  // What to do: found by its name, or by a photo of the label.
  await page.getByRole('button', { name: 'Find it, or scan again' }).click();
  const panel = page.getByRole('dialog', { name: 'Find' });
  await panel.getByRole('button', { name: 'Scan a label' }).click();
  const { default: QRCode } = await import('qrcode');
  const photo = (text: string) =>
    QRCode.toBuffer(text, { scale: 8, margin: 4 }).then((buffer) => ({
      name: 'label.png',
      mimeType: 'image/png',
      buffer,
    }));
  const file = panel.locator('input[type=file]');
  await file.setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(panel.getByText('No code could be read on that photo.', { exact: false })).toBeVisible();
  await file.setInputFiles(await photo('https://cold.example/p/ZZZZ'));
  await expect(panel.getByText('That is no label of ours', { exact: false })).toBeVisible();
  await file.setInputFiles(await photo(`https://cold.example/p/${packages[0].code}`));
  await expect(page.getByRole('dialog').getByText('Venison haunch').first()).toBeVisible();
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
  await page.goto('/stock?q=in+the+fridge,+dairy');
  const packages = page.getByRole('row').getByRole('button', { name: heard });
  await expect(packages.first()).toBeVisible();
  // The rows come while the page is still being laid out.
  await expect(async () => {
    const count = await page.getByRole('checkbox', { name: /^Choose (?!all)/ }).count();
    const dates = page.getByRole('row').getByRole('button', { name: /Why this date/ });
    expect([await packages.count(), await dates.filter({ visible: true }).count()]).toEqual([count, count]);
  }).toPass();
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
