import { randomUUID } from 'node:crypto';
import { type Locator, type Page } from '@playwright/test';
import { expect, test } from './page';
import { expectAccessible, toast } from './kitchen';

const zone = (page: Page, name: string): Locator => page.locator(`[data-zone-box="${name}"]`);
const choice = (page: Page, name: string): Locator => page.getByRole('combobox', { name, exact: true });
const status = (page: Page): Locator => page.getByRole('region', { name: 'Drawing' }).getByRole('status');

/** The saved drawing of an appliance, as the server has it. */
async function saved(page: Page, name: string) {
  const { appliances } = await (await page.request.get('/api/v1/today')).json();
  const found = appliances.find((one: { name: string }) => one.name === name);
  const { drawing } = await (await page.request.get(`/api/v1/appliances/${found.id}`)).json();
  return drawing as { id: string; zones: { name: string; kind: string; [measure: string]: unknown }[] };
}

/** What the paper shows: every zone as a screen reader hears it. */
const heard = (page: Page): Promise<string[]> =>
  page
    .locator('[data-zone-box]')
    .evaluateAll((boxes) => boxes.map((box) => box.getAttribute('aria-label') ?? '').sort());

async function saveAndReopen(
  page: Page,
  name: string,
  press: (target: Locator) => Promise<void>,
): Promise<void> {
  const before = await heard(page);
  await press(page.getByRole('button', { name: 'Save the drawing' }));
  await expect(toast(page, `${name} is in the `)).toBeVisible();
  await expect(page.getByRole('button', { name: new RegExp(`^${name} `) })).toBeVisible();
  const { id, zones } = await saved(page, name);
  await page.goto(`/kitchen/draw/${id}`);
  await expect(zone(page, zones[0]?.name ?? '')).toBeVisible();
  expect(await heard(page)).toEqual(before);
  await page.reload();
  await expect(zone(page, zones[0]?.name ?? '')).toBeVisible();
  expect(await heard(page)).toEqual(before);
}

// Other tests know the kitchen as it was.
test.afterEach(async ({ request }) => {
  const { appliances } = await (await request.get('/api/v1/today')).json();
  for (const { id, name } of appliances as { id: string; name: string }[]) {
    if (['Larder fridge', 'Under-drawer', 'Boat-shed chest'].includes(name)) continue;
    const gone = await request.post('/api/v1/commands', {
      data: { id: randomUUID(), type: 'appliance.remove', appliance: id },
    });
    expect(gone.status()).toBe(200);
  }
});

const click = (target: Locator): Promise<void> => target.click();

async function drag(page: Page, from: Locator, dx: number, dy: number): Promise<void> {
  const box = await from.boundingBox();
  if (!box) throw new Error('nothing to drag');
  const [x, y] = [box.x + box.width / 2, box.y + Math.min(box.height / 2, 40)];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 4 });
  await page.mouse.move(x + dx, y + dy, { steps: 4 });
  await page.mouse.up();
}

const numberIn = async (page: Page, label: string): Promise<number> =>
  Number(await page.getByLabel(label, { exact: true }).inputValue());

test('a newcomer draws a side by side with 12 zones by pointer; what does not fit is refused by its measure', async ({
  page,
}) => {
  await page.goto('/kitchen');
  await page.getByRole('link', { name: 'Add an appliance' }).click();
  await page.getByRole('link', { name: 'Draw it yourself' }).click();
  await expectAccessible(page);
  await page.locator('a[href$="shape=side-by-side"]').click();
  await page.getByLabel('Name of the appliance').fill('Pantry pair');
  for (const name of ['Freezer 3', 'Third shelf', 'Door 4', 'Door 3', 'Drawer 2', 'Drawer 1']) {
    await zone(page, name).click();
    await page.getByRole('button', { name: 'Take out' }).click();
  }
  // Where the third shelf was: the one above is dragged down into it, then split in two.
  await zone(page, 'Middle shelf').click();
  expect(await numberIn(page, 'High, mm')).toBe(270);
  await drag(page, page.locator('[data-grip="bottom"]'), 0, 60);
  const taller = await numberIn(page, 'High, mm');
  expect(taller).toBeGreaterThan(270);
  expect(taller % 10).toBe(0);
  await page.getByRole('button', { name: 'Split side by side' }).click();
  await expect(zone(page, 'Middle shelf 2')).toBeVisible();
  // A drag onto a neighbour is refused, and the zone goes back.
  await drag(page, zone(page, 'Top shelf'), 0, 30);
  await expect(status(page)).toHaveText(/^Top shelf and Middle shelf( 2)? overlap by \d+ mm/);
  expect(await numberIn(page, 'From top, mm')).toBe(0);
  // So is a measure that the compartment does not have; what was typed stays to be mended.
  await page.getByLabel('Wide, mm').fill('470');
  await page.getByLabel('Wide, mm').press('Enter');
  await expect(status(page)).toHaveText('Top shelf is 470 mm wide; there are 460 mm inside.');
  await expect(page.getByLabel('Wide, mm')).toHaveValue('470');
  await page.getByLabel('Deep, mm').fill('0');
  await page.getByLabel('Deep, mm').press('Enter');
  await expect(status(page)).toHaveText('Top shelf is 0 mm deep; at least 20 mm is needed.');
  // Bins nest on a shelf; a bin cannot be put into itself.
  await choice(page, 'Add to').selectOption({ label: 'in Top shelf' });
  await page.getByRole('button', { name: 'Add: Bin' }).click();
  await expect(zone(page, 'Bin')).toHaveAttribute('aria-pressed', 'true');
  await expect(choice(page, 'Stands in')).not.toContainText('in Bin');
  await page.getByLabel('Name', { exact: true }).fill('Dinner bin');
  await page.getByLabel('What it is for').fill('dinner bin');
  await choice(page, 'Add to').selectOption({ label: 'Freezer' });
  await page.getByRole('button', { name: 'Add: Drawer' }).click();
  await expect(page.locator('[data-zone-box]')).toHaveCount(12);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-zone-box]')).toHaveCount(11);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expectAccessible(page);
  await saveAndReopen(page, 'Pantry pair', click);
  expect((await saved(page, 'Pantry pair')).zones.map(({ name }) => name)).toContain('Dinner bin');
});

test('a chest with 6 baskets by pointer, from the side and from above', async ({ page }) => {
  await page.goto('/kitchen/draw?shape=chest');
  await page.getByLabel('Name of the appliance').fill('Attic chest');
  for (const name of ['Hanging basket', 'Layer 1', 'Layer 2']) {
    await zone(page, name).click();
    await page.getByRole('button', { name: 'Take out' }).click();
  }
  await expect(page.getByRole('region', { name: 'Inner measures' })).toBeVisible();
  for (let count = 0; count < 6; count++) await page.getByRole('button', { name: 'Add: Basket' }).click();
  await expect(page.locator('[data-zone-box]')).toHaveCount(6);
  await zone(page, 'Basket 6').click();
  await expect(page.getByText(/To reach it Basket.* must come out/)).toBeVisible();
  await choice(page, 'Seen from').selectOption('above');
  await zone(page, 'Basket 6').click();
  const deep = await numberIn(page, 'Deep, mm');
  await drag(page, page.locator('[data-grip="bottom"]'), 0, -40);
  expect(await numberIn(page, 'Deep, mm')).toBeLessThan(deep);
  expect(await numberIn(page, 'From front, mm')).toBeGreaterThan(0);
  await expectAccessible(page);
  await choice(page, 'Seen from').selectOption('front');
  await saveAndReopen(page, 'Attic chest', click);
});

/** Tabs on from where the focus is until it is on the target. */
async function tabTo(page: Page, target: Locator): Promise<void> {
  for (let count = 0; count < 130; count++) {
    if (await target.evaluate((element) => element === document.activeElement).catch(() => false)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error('the Tab key does not get there');
}

/** Presses a button that the Tab key reaches, as one who has no pointer. */
async function pressKey(page: Page, target: Locator): Promise<void> {
  await expect(target).toBeVisible();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await tabTo(page, target);
  await page.keyboard.press('Enter');
}

test('the same by keyboard alone: a side by side with 12 zones', async ({ page }) => {
  await page.goto('/kitchen');
  await pressKey(page, page.getByRole('link', { name: 'Add an appliance' }));
  await pressKey(page, page.getByRole('link', { name: 'Draw it yourself' }));
  await expect(page.getByRole('heading', { name: 'Which shape is it?' })).toBeVisible();
  await pressKey(page, page.locator('a[href$="shape=side-by-side"]'));
  await tabTo(page, page.getByLabel('Name of the appliance'));
  await page.keyboard.press('Control+A');
  await page.keyboard.type('Loft pair');
  const takeOut = page.getByRole('button', { name: 'Take out' });
  for (const name of ['Freezer 3', 'Third shelf', 'Door 4', 'Drawer 2']) {
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await tabTo(page, zone(page, name));
    await expect(zone(page, name)).toHaveAttribute('aria-pressed', 'true');
    if (name === 'Freezer 3') await page.keyboard.press('Delete');
    else {
      await page.keyboard.press('Enter');
      await tabTo(page, takeOut);
      await page.keyboard.press('Enter');
    }
    await expect(zone(page, name)).toHaveCount(0);
  }
  await tabTo(page, zone(page, 'Middle shelf'));
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByLabel('High, mm')).toHaveValue('290');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('High, mm')).toHaveValue('280');
  await tabTo(page, zone(page, 'Top shelf'));
  await page.keyboard.press('ArrowDown');
  await expect(status(page)).toHaveText('Top shelf and Middle shelf overlap by 10 mm (high).');
  await page.keyboard.press('ArrowRight');
  await expect(status(page)).toHaveText(/Top shelf sticks out by 10 mm: it ends at 470 mm/);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('Salad shelf');
  await page.keyboard.press('Enter');
  await expect(zone(page, 'Salad shelf')).toBeVisible();
  await tabTo(page, page.getByLabel('High, mm'));
  await page.keyboard.press('Control+A');
  await page.keyboard.type('1600');
  await page.keyboard.press('Enter');
  await expect(status(page)).toHaveText('Salad shelf is 1600 mm high; there are 1500 mm inside.');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('280');
  await pressKey(page, page.getByRole('button', { name: 'Add: Drawer' }));
  await expect(page.locator('[data-zone-box]')).toHaveCount(12);
  await saveAndReopen(page, 'Loft pair', (target) => pressKey(page, target));
});

test('and a chest with 6 baskets, by keyboard alone', async ({ page }) => {
  await page.goto('/kitchen/draw?shape=chest');
  await tabTo(page, page.getByLabel('Name of the appliance'));
  await page.keyboard.press('Control+A');
  await page.keyboard.type('Cellar chest');
  for (const name of ['Hanging basket', 'Layer 1', 'Layer 2']) {
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await tabTo(page, zone(page, name));
    await page.keyboard.press('Delete');
    await expect(zone(page, name)).toHaveCount(0);
  }
  await tabTo(page, page.getByRole('button', { name: 'Add: Basket' }));
  for (let count = 0; count < 6; count++) await page.keyboard.press('Enter');
  await expect(page.locator('[data-zone-box]')).toHaveCount(6);
  await saveAndReopen(page, 'Cellar chest', (target) => pressKey(page, target));
});

test('a zone with food in it goes only when the food has a place; an unfinished drawing waits; undo brings all back', async ({
  page,
}) => {
  const { id, zones } = await saved(page, 'Under-drawer');
  await page.goto(`/kitchen/draw/${id}`);
  await zone(page, 'Drawer 3').click();
  await page.getByRole('button', { name: 'Take out' }).click();
  await page.reload();
  await page.getByRole('button', { name: 'Go on with it' }).click();
  await expect(zone(page, 'Drawer 3')).toHaveCount(0);
  await page.getByRole('button', { name: 'Save the drawing' }).click();
  await expect(page.getByRole('heading', { name: 'Where does the food go?' })).toBeVisible();
  const go = page.getByRole('button', { name: 'Save, and move the food' });
  await expect(go).toBeDisabled();
  const where = page.getByRole('combobox', { name: /packages of Drawer 3/ });
  await expect(where).not.toContainText('Top shelf');
  await where.selectOption({ label: 'Drawer 1, Under-drawer' });
  await go.click();
  await expect(toast(page, 'Under-drawer is drawn anew, with 2 zones.')).toBeVisible();
  const { packages } = await (await page.request.get('/api/v1/stock?q=nameless')).json();
  expect(packages[0].zone.name).toBe('Drawer 1');
  await toast(page, 'Under-drawer is drawn anew').getByRole('button', { name: 'Undo' }).click();
  await expect(toast(page, /^Undone/)).toBeVisible();
  expect((await saved(page, 'Under-drawer')).zones).toEqual(zones);
  const back = await (await page.request.get('/api/v1/stock?q=nameless')).json();
  expect(back.packages[0].zone.name).toBe('Drawer 3');
});

test('the kitchen: order by keys, a thermometer reading dates what lies there, another like it, out again', async ({
  page,
}) => {
  await page.goto('/kitchen');
  const names = async (): Promise<string[]> =>
    (await (await page.request.get('/api/v1/today')).json()).appliances.map(
      ({ name }: { name: string }) => name,
    );
  const before = await names();
  await page.getByRole('button', { name: /^Move Larder fridge/ }).focus();
  await page.keyboard.press('ArrowRight');
  await expect.poll(names).toEqual([before[1], before[0], ...before.slice(2)]);
  await expect(page.getByRole('list', { name: 'Appliances' }).getByRole('listitem').first()).toContainText(
    'Under-drawer',
  );
  await page.getByRole('button', { name: /^Move Larder fridge/ }).press('ArrowLeft');
  await expect.poll(names).toEqual(before);
  await page.getByRole('button', { name: /^Larder fridge/ }).click();
  await page.getByRole('button', { name: /^Middle shelf: 3.4°/ }).click();
  await page.getByLabel('The thermometer reads, °C').fill('7,5');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(toast(page, 'Middle shelf, Larder fridge: 7.5 °C.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Middle shelf: 7.5°, warm/ })).toBeVisible();
  const { packages } = await (await page.request.get('/api/v1/stock?q=yogurt')).json();
  const detail = await (await page.request.get(`/api/v1/packages/${packages[0].code}`)).json();
  expect(detail.trail.map(({ rule }: { rule: string }) => rule)).toContain('K9');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('button', { name: /^Middle shelf: 3.4°/ })).toBeVisible();
  await page.getByRole('button', { name: /^Boat-shed chest/ }).click();
  await page.getByRole('link', { name: 'Another like it' }).click();
  await expect(page.getByLabel('Name of the appliance')).toHaveValue('Boat-shed chest 2');
  await page.getByRole('button', { name: 'Save the drawing' }).click();
  await page.getByRole('button', { name: /^Boat-shed chest 2/ }).click();
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(toast(page, 'Boat-shed chest 2 is out of the boat shed.')).toBeVisible();
  await expectAccessible(page);
});
