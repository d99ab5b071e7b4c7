import type { SheetsView } from '../../src/services/sheet/sheets';
import { readPages } from '../fixtures/readPages';
import { expectAccessible, toast } from './kitchen';
import { expect, test } from './page';

test('a door sheet is printed, crossed out, one taken by phone meanwhile, and caught up: only what differs is taken', async ({
  page,
}) => {
  await page.goto('/stock/sheet');
  await page.getByRole('button', { name: 'Boat-shed chest', exact: true }).click();
  await expect(toast(page, /Door sheet [A-Z]{2}\d\d of Boat-shed chest: \d+ kinds/)).toBeVisible();
  const read = async () => {
    const { sheets } = (await (await page.request.get('/api/v1/sheets')).json()) as SheetsView;
    const [sheet] = sheets;
    if (!sheet) throw new Error('no sheet');
    return sheet;
  };
  const sheet = await read();
  const kind = sheet.lines.find(({ words, printed }) => words.startsWith('Haddock') && printed >= 3);
  if (!kind) throw new Error('no haddock');
  const pdf = await page.request.get(`/api/v1/sheets/print?sheet=${sheet.code}`);
  const pages = await readPages(new Response(new Uint8Array(await pdf.body())), [
    { page: 0, xMm: 210 - 13 - 20, yMm: 12, widthMm: 21, heightMm: 21 },
  ]);
  expect(pages.map(({ text }) => text).join(' ')).toContain(kind.words);
  // A box on the paper for every pack.
  expect(pages.reduce((sum, { boxes }) => sum + boxes.length, 0)).toBeGreaterThanOrEqual(sheet.packs);

  // One is taken by the phone, and known; two more are crossed out on the paper.
  const { packages } = (await (await page.request.get('/api/v1/stock?q=haddock&limit=50')).json()) as {
    packages: { id: string; code: string; version: number }[];
  };
  const first = packages.find(({ id }) => id === kind.here[0]?.id);
  await page.goto(`/p/${first?.code}`);
  await page.getByRole('button', { name: /^Take/ }).first().click();
  await expect(toast(page, 'Took Haddock')).toBeVisible();
  await page.goto(`/stock/sheet?code=${sheet.code.toLowerCase()}`);
  const catching = page.getByRole('region', { name: `Catch up Boat-shed chest, sheet ${sheet.code}` });
  await expect(
    catching.getByRole('img', { name: `${kind.words}, box 1 of ${kind.printed}: known to be gone` }),
  ).toBeVisible();
  await expect(catching.getByRole('button', { name: 'Nothing differs yet' })).toBeDisabled();
  await catching.getByRole('button', { name: `${kind.words}, box 3 of ${kind.printed}` }).click();
  await expectAccessible(page);
  await catching.getByRole('button', { name: 'Caught up: 2 taken' }).click();
  await expect(toast(page, /Took Haddock/).last()).toBeVisible();
  const now = async (): Promise<number | undefined> =>
    (await read()).lines.find(({ words }) => words === kind.words)?.here.length;
  expect(await now()).toBe(kind.printed - 3);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect.poll(now).toBe(kind.printed - 1);

  await page.goto('/stock/sheet?code=ZZ99');
  await expect(page.getByText('There is no sheet ZZ99 on a door any more.', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: `Take sheet ${sheet.code} down` }).click();
  await expect(page.getByText('None yet.', { exact: false })).toBeVisible();
});
