import { type Page } from '@playwright/test';
import { beginHaul, chooseLine, lineOf, lines, readBench, tellLine } from './bench';
import { expectAccessible } from './kitchen';
import { expect, test } from './page';
import { photographed } from '../fixtures/photographed';

/** Sends a command as the bench does. */
async function send(page: Page, body: Record<string, unknown>) {
  return page.request.post('/api/v1/commands', { data: { id: crypto.randomUUID(), ...body } });
}

/** Leaves the household without an open haul: what is on the bench is dropped. */
async function clearBench(page: Page): Promise<void> {
  const { haul } = await readBench(page);
  if (!haul) return;
  const bench = (await (await page.request.get('/api/v1/haul')).json()) as {
    lines: { id: string; version: number; packages: string[] | null }[];
  };
  for (const { id, version, packages } of bench.lines) {
    if (packages === null) await send(page, { type: 'haul.drop', line: id, version });
  }
  await send(page, { type: 'haul.close', haul: haul.id });
}

test.beforeEach(async ({ page }) => clearBench(page));
test.afterEach(async ({ page }) => clearBench(page));

test('the scale settles, creeps, gives up over its load and goes in mid-weighing; what was weighed stays', async ({
  page,
}) => {
  await beginHaul(page);
  await tellLine(page, 'trout 1.6 kg / 4 flat', 'Trout');
  await chooseLine(page, 'Trout');
  await page.getByRole('button', { name: 'Weigh', exact: true }).click();
  const scale = page.getByRole('region', { name: 'Scale' });
  await scale.getByText('Play the stand-in').click();
  const load = scale.getByLabel('lies on it, g');
  const take = scale.getByRole('button', { name: /^It is pack/ });
  await expect(take).toBeDisabled();
  await load.fill('430');
  await expect(scale.locator('output')).toHaveText('430 g');
  await take.click();
  await expect(page.getByRole('heading', { name: '4 packs, 390 g to 430 g' })).toBeVisible();
  await expect(take).toHaveText('It is pack 2 of 4');
  await scale.getByRole('button', { name: 'Unit' }).click();
  await expect(scale.locator('output')).toHaveText(/oz$/);
  await scale.getByRole('button', { name: 'Unit' }).click();
  await scale.getByRole('button', { name: 'Unit' }).click();

  await load.fill('6000');
  await expect(scale.getByText('More than it can carry')).toBeVisible();
  await expect(take).toBeDisabled();
  await load.fill('1500');
  await expect(scale.locator('output')).toHaveText('1500 g');
  await take.click();
  await expect(scale.getByRole('alert')).toContainText('does not go');
  await scale.getByRole('button', { name: 'Let it drift' }).click();
  await expect(scale.getByText('It creeps: press tare')).toBeVisible();
  await scale.getByRole('button', { name: 'Stop the drift' }).click();
  await scale.getByRole('button', { name: 'Unplug it' }).click();
  await expect(scale.getByText('The scale does not answer')).toBeVisible();
  await expect(take).toBeDisabled();
  await scale.getByRole('button', { name: 'Done weighing' }).click();
  await expect(page.getByRole('heading', { name: '4 packs, 390 g to 430 g' })).toBeVisible();
});

test('a jam and an empty roll keep every label, through a reload too; by hand the words are written', async ({
  page,
}) => {
  await beginHaul(page);
  const labels = page.getByRole('region', { name: 'Labels' });
  await labels.getByText('Play the stand-in').click();
  await labels.getByRole('button', { name: 'End the roll' }).click();
  await tellLine(page, 'quark 1.5 kg / 3', 'Quark');
  await chooseLine(page, 'Quark');
  await page.getByRole('button', { name: 'Label 3 and go on' }).click();
  await expect(labels.getByText(/The paper has run out.*3 waiting/)).toBeVisible();
  await page.reload();
  await expect(labels.getByText(/The paper has run out.*3 waiting/)).toBeVisible();
  await labels.getByText('Play the stand-in').click();
  await labels.getByRole('button', { name: 'New roll is in' }).click();
  await labels.getByRole('button', { name: 'Jam it' }).click();
  await expect(labels.getByText(/The paper jams/)).toBeVisible();
  await labels.getByRole('button', { name: 'Cleared, print again' }).click();
  await expect(labels.getByText(/nothing waits/)).toBeVisible();
  await labels.getByText('3 strips so far').click();
  const bench = await readBench(page);
  const codes = bench.packs.map(({ code }) => code);
  for (const code of codes) await expect(labels.getByRole('img', { name: `Code of ${code}` })).toHaveCount(1);

  await labels.getByRole('button', { name: 'Write by hand' }).click();
  await expect(labels.getByRole('list', { name: 'Words to write' }).getByRole('listitem')).toHaveCount(3);
  await expect(labels.getByRole('list', { name: 'Words to write' })).toContainText(codes[0] ?? 'no code');
  await expectAccessible(page);
  await labels.getByRole('button', { name: 'Print them' }).click();
});

test('an unknown code learns a food, the same code asks, a camera that is gone says so', async ({ page }) => {
  await beginHaul(page);
  await page.getByRole('button', { name: 'Scan' }).click();
  const sheet = page.getByRole('dialog', { name: 'Scan' });
  const held = sheet.getByLabel('held before the camera');
  await held.fill('2012345000018');
  await expect(sheet.getByText('2012345000018 is new here.')).toBeVisible();
  await sheet.getByRole('textbox', { name: /is new here/ }).fill('quark 250 g');
  await sheet.getByRole('button', { name: 'Learn it and take it' }).click();
  await expect(sheet.getByText(/Quark 250 g is on the bench/)).toBeVisible();
  await held.fill('');
  await page.waitForTimeout(1700);
  await held.fill('2012345000018');
  const twice = sheet.getByRole('alertdialog', { name: 'Scanned twice' });
  await expect(twice).toContainText('is on the bench already');
  await twice.getByRole('button', { name: 'It is the same one' }).click();
  expect((await readBench(page)).lines).toHaveLength(1);
  await expectAccessible(page);
  await sheet.getByRole('button', { name: 'Unplug it' }).click();
  await expect(sheet.getByText('The camera does not answer')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(lineOf(page, 'Quark')).toBeVisible();
});

test('a thermometer is read into its zone when it has settled, and says when it is gone', async ({
  page,
}) => {
  await page.goto('/kitchen');
  await page.getByRole('button', { name: /^Middle shelf: .*Read the thermometer/ }).click();
  await page.getByText('Play the stand-in').click();
  await page.getByLabel('it is there, °C').fill('3.1');
  const take = page.getByRole('button', { name: 'Take this reading' });
  await expect(take).toBeDisabled();
  await expect(take).toBeEnabled({ timeout: 15_000 });
  await take.click();
  await expect(page.getByLabel('The thermometer reads, °C')).toHaveValue(/^3(\.\d)?$/);
  await page.getByRole('button', { name: 'Unplug' }).click();
  await expect(page.getByText('The thermometer does not answer')).toBeVisible();
});

test('what cannot be is told plainly: too many packs, raw meat in a used bag, what must not freeze, two tabs at once', async ({
  page,
  context,
}) => {
  await beginHaul(page);
  await tellLine(page, 'venison 600 g', 'Venison');
  await chooseLine(page, 'Venison');
  await page.getByRole('button', { name: 'freezer', exact: true }).click();
  await page.getByLabel('Another way to pack it').selectOption({ label: 'zip bag used before' });
  await expect(page.getByRole('alert').filter({ hasText: 'never for raw meat' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Label it and go on' })).toBeDisabled();
  await page.getByRole('button', { name: 'vacuum bag' }).click();
  await page.getByRole('textbox', { name: 'Pieces in all' }).fill('2');
  await page.getByRole('textbox', { name: 'Packs', exact: true }).fill('3');
  await expect(page.getByRole('alert').filter({ hasText: '2 pieces do not make 3 packs' })).toBeVisible();
  await page.getByLabel('Split by').selectOption({ label: 'by eaters' });
  await page.getByRole('textbox', { name: 'Eaters' }).fill('0');
  await expect(page.getByRole('alert').filter({ hasText: 'How many eat of it?' })).toBeVisible();
  await tellLine(page, 'lettuce 300 g', 'Lettuce');
  await chooseLine(page, 'Lettuce');
  await expect(page.getByRole('button', { name: 'freezer', exact: true })).toBeDisabled();
  await expect(
    page.getByText('Lettuce must not be frozen').or(page.getByRole('button', { name: 'Label it and go on' })),
  ).toBeVisible();

  await page.getByRole('button', { name: 'Receipt', exact: true }).click();
  const sheet = page.getByRole('dialog', { name: 'A receipt or a list' });
  await sheet.getByRole('textbox').first().fill('- milk 2 l\n2 x quark 500 g 3,80\nbrownstuff 3\nTOTAL 9.00');
  await expect(sheet.getByText('Milk, 2 l')).toBeVisible();
  await expect(sheet.getByText(/is not known/)).toBeVisible();
  await sheet.getByRole('button', { name: 'leave' }).last().click();
  await sheet.getByRole('button', { name: '2 lines on the bench' }).click();
  await expect(lines(page).getByRole('listitem')).toHaveCount(4);

  // Two tabs: what one packs, the other does not pack again; one finishes, the other is told.
  const other = await context.newPage();
  await other.goto('/haul');
  await chooseLine(other, 'Milk');
  await chooseLine(page, 'Milk');
  await page.getByRole('button', { name: 'Label it and go on' }).click();
  await expect(lineOf(page, 'Milk')).toContainText('labelled');
  const before = await readBench(page);
  const milk = before.lines.find(({ called }) => called === 'Milk');
  const again = await send(page, {
    type: 'haul.pack',
    haul: before.haul?.id,
    lines: [{ line: milk?.id, version: 1 }],
  });
  expect([again.status(), (await again.json()).error.message]).toEqual([
    422,
    expect.stringMatching(/packed already/),
  ]);
  await expect(lineOf(other, 'Milk')).toContainText('labelled', { timeout: 15_000 });
  await clearBench(page);
  const late = await send(page, { type: 'haul.close', haul: before.haul?.id });
  expect((await late.json()).error.message).toMatch(/was put away already/);
  await expect(other.getByRole('button', { name: 'Begin the haul' })).toBeVisible({ timeout: 15_000 });
  await other.close();
});

test('a line typed while the haul is being begun, its own food and its half all reach the bench; what was read wrong is corrected there', async ({
  page,
}) => {
  await page.goto('/haul');
  const quick = page.getByRole('textbox', { name: 'Quick line: what came in' });
  await page.getByRole('button', { name: 'Begin the haul' }).click();
  await quick.fill('medlar cheese 900 g, half freeze');
  // The food is made by its likeness; the half is not lost on the way.
  await page
    .getByRole('button', { name: /^medlar cheese, kept like/i })
    .first()
    .click();
  await expect(quick).toHaveValue(/like .*, half freeze$/);
  await quick.press('Enter');
  await expect(lineOf(page, 'Medlar cheese')).toBeVisible();
  await expect
    .poll(async () => (await readBench(page)).lines.map(({ parts }) => parts.map(({ goes }) => goes)))
    .toEqual([['fridge', 'freezer']]);

  await chooseLine(page, 'Medlar cheese');
  await page.getByRole('button', { name: 'Correct' }).click();
  const amount = page.getByRole('textbox', { name: 'Came in, in all' });
  await amount.fill('2 l');
  await expect(page.getByText('“l” does not measure it')).toBeVisible();
  await expect(page.getByRole('button', { name: 'That is right' })).toBeDisabled();
  await amount.fill('1.2 kg');
  await page.getByLabel('Its words').selectOption('best before');
  await page.getByLabel('The date').fill('2030-01-31');
  await page.getByRole('button', { name: 'That is right' }).click();
  await expect(page.getByRole('heading', { name: 'Medlar cheese, 1.2 kg' })).toBeVisible();
  await expect
    .poll(async () => {
      const [line] = (await readBench(page)).lines;
      return [line?.amount, line?.parts.flatMap(({ amounts }) => amounts).reduce((sum, one) => sum + one, 0)];
    })
    .toEqual([1200, 1200]);
  await page.reload();
  await expect(lineOf(page, 'Medlar cheese')).toContainText('1.2 kg');
});

test('a photographed receipt becomes lines to check, and stays with its haul until it is taken off', async ({
  page,
}) => {
  await beginHaul(page);
  await page.getByRole('button', { name: 'Receipt', exact: true }).click();
  const sheet = page.getByRole('dialog', { name: 'A receipt or a list' });
  const buffer = photographed(['SKERRY STORES', 'Milk 2 l          2.10', 'Kale 900 g        1.80'], 0.01);
  await sheet
    .getByLabel('Photograph the receipt')
    .setInputFiles({ name: 'receipt.jpg', mimeType: 'image/jpeg', buffer });
  await sheet.getByRole('button', { name: '2 lines on the bench' }).click({ timeout: 60_000 });
  await expect(lineOf(page, 'Kale')).toBeVisible();
  await page.getByRole('button', { name: 'Receipt', exact: true }).click();
  const photo = page.getByRole('img', { name: /^Receipt of .*photo 1/ });
  await expect(async () =>
    expect(await photo.evaluate((shown: HTMLImageElement) => shown.naturalWidth)).toBeGreaterThan(500),
  ).toPass();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take this photo off' }).click();
  await expect(photo).toHaveCount(0);
});
