import { expect, test } from './page';

const LIST = [
  'Our freezer 2026;;;;',
  'Item;How many;Where;Date frozen;Notes',
  'Peas 900 g;2;Layer 1;12/09/2026;',
  'Mutton mince 500g;3;Layer 1;1/10/2026;for the pie',
  'Zorbleflux;2;Layer 1;3/10/2026;',
  'Trout 400 g;;Attic;3/10/2026;',
].join('\n');

test('a paper list is looked at, its columns put right, what is understood comes in, all of it goes out again', async ({
  page,
}) => {
  const total = async (): Promise<number> =>
    ((await (await page.request.get('/api/v1/stock?limit=1')).json()) as { total: number }).total;
  const before = await total();
  await page.goto('/kitchen/exchange');
  const choose = (name: string, text: string): Promise<void> =>
    page
      .getByLabel(/A list from a spreadsheet/)
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await choose('nothing.csv', 'Item');
  await expect(page.getByRole('alert').filter({ hasText: 'no rows below it' })).toBeVisible();
  await page.getByRole('button', { name: 'Another file' }).click();
  await choose('list.csv', LIST);
  await expect(page.getByRole('heading', { name: '2 of 4 rows would come in, as 5 packages' })).toBeVisible();
  const wrong = page.getByRole('list', { name: 'Rows that are wrong' });
  await expect(wrong).toContainText('Row 5“Zorbleflux” is not known as a food.');
  await expect(wrong).toContainText('(Attic)');
  // A column that means something else is put right by hand, and everything is read anew.
  await page.getByLabel('Where').selectOption('leave it out');
  await expect(page.getByRole('heading', { name: /of 4 rows/ })).not.toContainText('2 of 4');
  await page.getByLabel('Where').selectOption('place in it');
  await page.getByRole('button', { name: 'Bring 2 rows in, leave 2 out' }).click();
  await expect(page.getByText('5 packages came in.')).toBeVisible();
  expect(await total()).toBe(before + 5);
  await page.getByRole('button', { name: 'Take all of it back' }).click();
  await expect(page.getByText('All of it is taken back.')).toBeVisible();
  expect(await total()).toBe(before);
  // Out again: every table and the whole household.
  const names = await page.getByRole('link', { name: /\.csv/ }).all();
  expect(names.length).toBe(8);
  for (const link of names) {
    const answer = await page.request.get((await link.getAttribute('href')) ?? '');
    expect([answer.status(), answer.headers()['content-type']]).toEqual([200, 'text/csv; charset=utf-8']);
  }
  // And in again: a row that differs is told, the others stand as they are.
  const table = async (name: string): Promise<string> =>
    (await page.request.get(`/api/v1/exchange/table?table=${name}`)).text();
  const containers = await table('containers');
  await page.getByRole('button', { name: 'Another file' }).click();
  await choose('containers.csv', containers.replace('Square box', 'Square box in blue'));
  await expect(page.getByRole('heading', { name: /^1 of \d+ rows of containers\.csv/ })).toBeVisible();
  await page.getByRole('button', { name: 'Bring 1 row in' }).click();
  await expect(page.getByText(/^1 container came in\. \d+ stood here/)).toBeVisible();
  expect(await table('containers')).toContain('Square box in blue');
  await page.getByRole('button', { name: 'Take all of it back' }).click();
  await expect(page.getByText('All of it is taken back.')).toBeVisible();
  expect(await table('containers')).toBe(containers);
  await page.getByRole('button', { name: 'Another file' }).click();
  await choose('ledger.csv', await table('ledger'));
  await expect(
    page.getByRole('alert').filter({ hasText: 'comes in with the whole household' }),
  ).toBeVisible();
  const whole = await page.request.get('/api/v1/exchange/household');
  expect(((await whole.json()) as { format: string }).format).toBe('orderly-frost-household');
});
