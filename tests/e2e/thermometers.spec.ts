import { parse } from 'csv-parse/sync';
import type { DeskView } from '../../src/services/outage/cutDesk';
import type { ThermometersView } from '../../src/services/outage/thermometers';
import { expectAccessible, latest, toast, undoSince } from './kitchen';
import { expect, test } from './page';

const HOUR_MS = 3_600_000;

let found = '';
test.beforeEach(async ({ page }) => {
  page.setDefaultTimeout(60_000);
  found = await latest(page);
});
test.afterEach(({ page }) => undoSince(page, found));

test('thermometers that heard the power go begin a cut; the desk has their readings; one undo takes it back', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await page.goto('/outage/log');
  const fridge = page.getByRole('region', { name: 'Larder fridge' });
  await expect(page.getByRole('figure', { name: 'Log of Larder fridge' })).toContainText('Nothing was heard');
  await expectAccessible(page);
  await page.getByLabel('hours ago').fill('12');
  await page.getByRole('button', { name: 'The power went' }).click();
  await expect(toast(page, 'A power cut was begun by it.')).toBeVisible();
  await expect(fridge).toContainText(/just now · its last day .* on average .* battery 90/);
  await expect(page.getByRole('img', { name: /^How cold it was in Larder fridge/ })).toBeVisible();
  await expect(fridge.getByRole('alert')).toContainText(/Over 7 °C since/);
  await expectAccessible(page);

  await fridge.getByRole('link', { name: 'To the desk' }).click();
  await expect(page.getByRole('heading', { name: /^Power off since/ })).toBeVisible();
  const part = page.getByRole('region', { name: 'Larder fridge', exact: true });
  await expect(part).toContainText(/read \d+(\.\d)? °C at/);
  await part.getByRole('button', { name: 'More of Larder fridge' }).click();
  await expect(part.getByText('from its thermometer').first()).toBeVisible();
  const desk = (await (await page.request.get('/api/v1/outage')).json()) as DeskView;
  const begun = desk.cuts.find(({ id }) => id === desk.cut);
  expect((Date.parse(desk.now) - Date.parse(begun?.from ?? '')) / HOUR_MS).toBeGreaterThan(11.5);
  expect(begun?.parts.some(({ id }) => desk.readings.some((one) => one.part === id))).toBe(true);

  await toast(page, 'A power cut was begun by it.').getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('heading', { name: 'Is the power off?' })).toBeVisible();
});

test('a log is read from CSV in another scale, what says nothing is told, and it comes out again as it went in', async ({
  page,
}) => {
  await page.goto('/outage/log');
  const box = page.getByRole('region', { name: 'Put a log in' });
  await box.getByLabel('or pasted').fill('when it was,how warm\nyesterday,cold');
  await expect(box.getByRole('status')).toContainText('The first line names the columns');
  const at = (hours: number): string =>
    new Date(Date.now() - hours * HOUR_MS).toISOString().slice(0, 19) + 'Z';
  const [one, two] = [at(3), at(2)];
  await box
    .getByLabel('or pasted')
    .fill(
      `time;place;fahrenheit\n${one};The box;-0,4\n${two};The box;-2,2\nsome day;The box;0\n${two};The box;n/a`,
    );
  await expect(box.getByRole('status')).toContainText('The box: 2 readings');
  await expect(box.getByRole('status')).toContainText('2 lines say nothing');
  await expect(box.getByRole('button', { name: 'Nothing to put in yet' })).toBeDisabled();
  await box.getByLabel('is the log of').selectOption('Boat-shed chest');
  await box.getByRole('button', { name: 'Put in 2 readings' }).click();
  await expect(toast(page, /Boat-shed chest: 2 readings, −19 °C to −18 °C/)).toBeVisible();
  const chest = page.getByRole('region', { name: 'Boat-shed chest' });
  await expect(chest).toContainText('−19 °C');
  const csv = await (await page.request.get('/api/v1/outage/log/csv')).text();
  const rows = parse(csv, { columns: true, bom: true }) as Record<
    'time' | 'compartment' | 'celsius',
    string
  >[];
  const ours = rows.filter((row) => row.compartment === 'Boat-shed chest').slice(-2);
  expect(ours.map(({ time, celsius }) => [time.slice(0, 19) + 'Z', celsius])).toEqual([
    [one, '-18'],
    [two, '-19'],
  ]);

  // When it calls is the household's own; nonsense is told.
  await chest.getByRole('button', { name: 'Show the log of Boat-shed chest' }).click();
  const alarm = page.getByRole('form', { name: 'When Boat-shed chest calls' });
  await alarm.getByLabel('for, minutes').fill('0');
  await expect(alarm.getByRole('alert')).toContainText('for 1 to 1440 minutes');
  await alarm.getByLabel('for, minutes').fill('20');
  await alarm.getByLabel('over, °C').fill('−14,5');
  await alarm.getByRole('checkbox').uncheck();
  await alarm.getByRole('button', { name: 'Set' }).click();
  await expect(toast(page, 'calls when it is over −14.5 °C for 20 min')).toBeVisible();
  const view = (await (await page.request.get('/api/v1/outage/thermometers')).json()) as ThermometersView;
  expect(view.parts.find(({ called }) => called === 'Boat-shed chest')?.alarm).toEqual({
    ...{ above_c: -14.5, minutes: 20, begins: false },
  });
});
