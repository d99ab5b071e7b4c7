import { type Page } from '@playwright/test';
import { line } from '../fixtures/api';
import { expect, test } from './page';
import { expectAccessible, toast } from './kitchen';

interface Stored {
  id: string;
  code: string;
  version: number;
}

/** Stores a package of its own for the test, and opens its page. */
async function store(page: Page, more: Record<string, unknown>): Promise<Stored[]> {
  const zones = (await (await page.request.get('/api/v1/vocabulary')).json()).zones as {
    id: string;
    name: string;
  }[];
  const zone = zones.find(({ name }) => name === 'Lower shelf')?.id;
  const told = {
    id: crypto.randomUUID(),
    type: 'haul.store',
    lines: [line({ packs: 1, called: 'Trout', zone, ...more })],
  };
  const answer = await page.request.post('/api/v1/commands', { data: told });
  expect([answer.status(), await answer.text()]).toEqual([200, expect.anything()]);
  return ((await answer.json()) as { answers: { packages: Stored[] }[] }).answers[0]?.packages ?? [];
}
async function open(page: Page, { code }: Stored): Promise<void> {
  await page.goto(`/p/${code}`);
}
const undo = async (page: Page): Promise<void> => {
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(toast(page, /Undone/).last()).toBeVisible();
};
const more = async (page: Page, name: string): Promise<void> => {
  await page.getByRole('button', { name, exact: true }).click();
};

test('everything that happens to a package has its way from the page of its label, and an undo', async ({
  page,
}) => {
  test.setTimeout(180_000);
  page.setDefaultTimeout(60_000);
  const day = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
  const start = { did: 'bought', on: day(-1) };
  const [one, two] = await store(page, { packs: 2, amount: 1200, start });
  if (!one || !two) throw new Error('two were to be stored');
  await open(page, one);
  await more(page, 'Split');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Split it' }).click();
  await expect(toast(page, /^Split Trout/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Trout, 300 g' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Print 2 labels' })).toBeVisible();
  await undo(page);
  await expect(page.getByRole('heading', { name: 'Trout, 600 g' })).toBeVisible();

  await more(page, 'Put together');
  await page.getByRole('button', { name: new RegExp(`^${two.code},`) }).click();
  await page.getByRole('button', { name: 'Put together' }).last().click();
  await expect(toast(page, 'dated by the older')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Trout, 1.2 kg' })).toBeVisible();
  await undo(page);
  await expect(page.getByRole('heading', { name: 'Trout, 600 g' })).toBeVisible();

  await more(page, 'Pack or prepare');
  await page.getByRole('button', { name: 'Marinated' }).click();
  await expect(page.getByRole('heading', { name: 'Trout, marinated, 600 g' })).toBeVisible();
  await undo(page);
  await expect(page.getByRole('heading', { name: 'Trout, 600 g' })).toBeVisible();

  await more(page, 'Hands off');
  await page.getByRole('combobox', { name: 'For whom, or what' }).fill('Gran Morag');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('for Gran Morag').first()).toBeVisible();
  await page.getByRole('button', { name: 'Take all' }).click();
  await expect(page.getByRole('heading', { name: 'It is kept for somebody' })).toBeVisible();
  await page.getByRole('button', { name: 'Take it all the same' }).click();
  await expect(page.getByRole('heading', { name: 'It is here after all?' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Minutes it stood out' }).fill('25');
  await page.getByRole('button', { name: 'Back in Lower shelf' }).click();
  await expect(toast(page, 'after 25 minutes out')).toBeVisible();

  await more(page, 'Correct');
  await page.getByLabel('It began on').fill(day(0));
  await page.getByRole('textbox', { name: 'In it' }).fill('550 g');
  await page.getByRole('combobox', { name: 'Why?' }).fill('weighed again');
  await page.getByRole('button', { name: 'Put it right' }).click();
  await expect(page.getByRole('heading', { name: 'That makes it keep longer' })).toBeVisible();
  await page.getByRole('button', { name: 'I looked twice: it is so' }).click();
  await expect(page.getByRole('heading', { name: 'Trout, 550 g' })).toBeVisible();

  await more(page, 'New label');
  await expect(toast(page, 'has a new label')).toBeVisible();
  // The old code, as a hurried hand writes it, still finds it; so it does after it was lost.
  await page.goto(`/p/${one.code.toLowerCase().slice(0, 2)}-${one.code.slice(2)}`);
  await expect(page.getByText(`before ${one.code}`)).toBeVisible();
  await more(page, 'It is nowhere');
  await expect(page.getByRole('heading', { name: 'It is here after all?' })).toBeVisible();
  await undo(page);
  await expect(page.getByRole('button', { name: 'Take all' })).toBeVisible();
});

test('a label opened on a phone: half of it is one tap, taken another; the ledger has both', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const [one] = await store(page, { amount: 400 });
  if (!one) throw new Error('one was to be stored');
  await open(page, one);
  await page.getByRole('button', { name: 'Half of it' }).click();
  await expect(page.getByRole('heading', { name: 'Trout, 200 g' })).toBeVisible();
  await page.getByRole('button', { name: 'Take all' }).click();
  await expect(page.getByText(/^Gone: taken/)).toBeVisible();
});

test('a photo is put to a package, turned, shrunk and stripped of what the camera wrote; what is no picture is told; undone', async ({
  page,
}) => {
  const { default: sharp } = await import('sharp');
  const { packages } = await (await page.request.get('/api/v1/stock?q=venison+haunch')).json();
  await page.goto(`/p/${packages[0].code}`);
  // 2000 by 1000, held on its side (orientation 6), with a place in it.
  const buffer = await sharp({ create: { width: 2000, height: 1000, channels: 3, background: '#803020' } })
    .withExif({
      IFD0: { Copyright: 'Skerry Row' },
      IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '57/1 0/1 0/1' },
    })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  const file = page.locator('input[type=file]').first();
  await file.setInputFiles({
    name: 'note.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture at all'),
  });
  await expect(toast(page, 'isn’t a picture we can read')).toBeVisible();
  await file.setInputFiles({ name: 'haunch.jpg', mimeType: 'image/jpeg', buffer });
  const shown = page.getByRole('img', { name: /^Photo of Venison haunch/ });
  await expect(shown).toBeVisible();
  const kept = await page.request.get((await shown.getAttribute('src')) ?? '');
  const { width, height, exif, orientation } = await sharp(await kept.body()).metadata();
  expect([width, height, exif, orientation]).toEqual([640, 1280, undefined, undefined]);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(shown).toHaveCount(0);
});
