import { expect, test } from './page';
import { expectAccessible, toast, typeLine, latest, undoSince } from './kitchen';

/** Every view that is the same for everybody. */
const VIEWS = [
  '/',
  '/haul',
  '/stock',
  '/meals',
  '/rounds',
  '/rounds/reset',
  '/rounds/leaving',
  '/outage',
  '/outage/log',
  '/ledger',
  '/ledger/look-back',
  '/kitchen',
  '/kitchen/foods',
  '/kitchen/check',
  '/kitchen/tidy',
  '/kitchen/containers',
  '/kitchen/household',
  '/kitchen/keys',
  '/kitchen/exchange',
  '/sign-in',
  '/join',
  '/guest',
  '/kitchen/upkeep',
  '/kitchen/draw',
  '/kitchen/draw?shape=chest',
];

test('a typed line becomes four labelled, dated packages in the drawn zone, and is undone', async ({
  page,
}) => {
  await page.goto('/');
  const layer = page.getByRole('button', { name: /^Layer 1, filed upright/ });
  const before = Number(/: (\d+) packages/.exec((await layer.getAttribute('aria-label')) ?? '')?.[1]);
  await typeLine(page, 'trout 1.6 kg / 4 flat > layer 1');
  const reading = page.locator('#quick-reading');
  await expect(reading).toContainText('4 packages of 400 g');
  await expect(reading).toContainText('to Layer 1, Boat-shed chest');
  await expect(reading).toContainText(/best by \w+day \d+ \w+ 20\d\d/);
  await expect(reading).toContainText('K5');
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await expect(toast(page, 'Stored Trout 4 × 400 g')).toBeVisible();
  await expect(layer).toHaveAccessibleName(new RegExp(`: ${before + 4} packages`));

  await page.getByRole('button', { name: 'Print 4 labels' }).click();
  const sheet = page.getByRole('dialog', { name: 'Labels for 4 packages' });
  await sheet.getByRole('button', { name: 'Begin at sticker 3', exact: true }).click();
  const address = await sheet.getByRole('link', { name: /Open the sheet/ }).getAttribute('href');
  expect(address).toMatch(/codes=(\w+,){3}\w+&size=sheet-21&start=3/);
  const pdf = await page.request.get(address ?? '');
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  await sheet.getByRole('button', { name: 'Close' }).click();

  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(toast(page, 'Undone')).toBeVisible();
  await expect(layer).toHaveAccessibleName(new RegExp(`: ${before} packages`));
});

test('taking is one click, stays undone after a reload, and what is past stands on top', async ({ page }) => {
  await page.goto('/');
  const list = page.getByRole('region', { name: 'First out' });
  const rows = list.getByRole('listitem');
  await expect(rows.first()).toContainText('past');
  const words = await rows.allInnerTexts();
  const lastPast = words.findLastIndex((text) => text.startsWith('past'));
  expect(words.slice(0, lastPast + 1).every((text) => text.startsWith('past'))).toBe(true);
  await list.getByRole('button', { name: 'Take Mussels 1 kg' }).click();
  await expect(toast(page, 'Took Mussels 1 kg.')).toBeVisible();
  await expect(list.getByText('Mussels')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(list.getByText('Mussels')).toHaveCount(1);
  await page.reload();
  await expect(list.getByText('Mussels')).toHaveCount(1);
});

test('every date opens its trail', async ({ page }) => {
  await page.goto('/');
  const dates = page
    .getByRole('region', { name: 'First out' })
    .getByRole('button', { name: /Why this date/ });
  for (const at of [0, (await dates.count()) - 1]) {
    await dates.nth(at).click();
    const trail = page.getByRole('dialog', { name: 'Why this date' });
    await expect(trail).toContainText(/K2/);
    await expect(trail).toContainText('When in doubt, throw it out');
    await page.keyboard.press('Escape');
    await expect(trail).toHaveCount(0);
  }
});

test('a line that cannot be is told at its place, kept as typed, and stores nothing', async ({ page }) => {
  await page.goto('/');
  const total = async () => (await (await page.request.get('/api/v1/stock?limit=1')).json()).total as number;
  const before = await total();
  const reading = page.locator('#quick-reading');
  for (const [text, says] of [
    ['unicorn 1 kg', 'not known as a food'],
    ['trout 0 kg', 'more than zero'],
    ['trout 1 kg / 500', '200 at most'],
    ['trout 1 kg use by 31 feb', 'does not exist'],
    ['lettuce 1 frozen > layer 1', 'does not freeze well'],
    ['trout 1 kg <b>x</b>', 'was not understood'],
  ] as const) {
    await typeLine(page, text);
    await expect(reading).toContainText(says);
    await page.keyboard.press('Enter');
    await expect(page.locator('#quick-line')).toHaveValue(text);
  }
  // What may be several is answered by its likeliest with Enter; a slip is read over, and told.
  await typeLine(page, 'ham 1 kg');
  await expect(reading.getByRole('button', { name: /^Ham, sliced cooked/ })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.locator('#quick-line')).toHaveValue('ham sliced cooked 1 kg');
  await typeLine(page, 'hadock 1 kg');
  await expect(reading).toContainText('Haddock, raw (from “hadock”)?');
  await expect(reading).toContainText('use by');
  expect(await total()).toBe(before);
});

test('the whole way by keyboard: line, completion, recall, package, part, undo from the ledger', async ({
  page,
}) => {
  await page.goto('/stock');
  const found = await latest(page);
  // Keys are heard once the page has woken.
  await expect(async () => {
    await page.keyboard.press('t');
    await expect(page).toHaveURL(/\/$/, { timeout: 500 });
  }).toPass();
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('/');
  await expect(page.locator('#quick-line')).toBeFocused();
  await page.keyboard.type('cottage cheese 300 g > mid');
  // The foods are fetched while one types; what is read stands there before Tab finishes the word.
  await expect(page.locator('#quick-reading')).toContainText('to Middle shelf');
  await expect(page.getByRole('button', { name: 'cottage cheese 300 g > middle shelf' })).toHaveCount(0);
  await page.keyboard.press('Tab');
  await expect(page.locator('#quick-line')).toHaveValue('cottage cheese 300 g > middle shelf ');
  await page.keyboard.press('Enter');
  await expect(toast(page, 'Stored Cottage cheese 300 g')).toBeVisible();
  await page.keyboard.press('ArrowUp');
  await expect(page.locator('#quick-line')).toHaveValue('cottage cheese 300 g > middle shelf ');
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: /^Middle shelf/ }).focus();
  await page.keyboard.press('Enter');
  const zone = page.getByRole('dialog', { name: 'Middle shelf' });
  await zone.getByRole('button', { name: /^Quark/ }).focus();
  await page.keyboard.press('Enter');
  const sheet = page.getByRole('dialog', { name: 'Quark, 500 g' });
  await sheet.getByRole('button', { name: 'Take part' }).focus();
  await page.keyboard.press('Enter');
  await sheet.getByLabel('How much?').focus();
  await page.keyboard.type('900');
  await expect(sheet.getByRole('alert')).toHaveText('There are 500 g in it.');
  await sheet.getByLabel('How much?').fill('200');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Quark, 300 g' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await page.locator('body').click({ position: { x: 640, y: 62 } });
  await page.keyboard.press('l');
  const undo = page.getByRole('button', { name: 'Undo: Took Quark 200 g.' });
  await undo.focus();
  await page.keyboard.press('Enter');
  await expect(toast(page, 'Undone: Took Quark 200 g.')).toBeVisible();
  await undoSince(page, found);
});

test('what stands on the counter is put away, frozen, thawed and opened from its sheet', async ({ page }) => {
  await page.goto('/');
  await typeLine(page, 'venison 500 g > counter');
  await page.keyboard.press('Enter');
  const counter = page.getByRole('complementary', { name: 'Counter' });
  await counter.getByRole('button', { name: /Venison 500 g/ }).click();
  const sheet = page.getByRole('dialog', { name: 'Venison, 500 g' });
  await sheet.getByRole('button', { name: 'Put away' }).click();
  await sheet.getByRole('button', { name: 'Lower shelf Larder fridge' }).click();
  await expect(sheet).toContainText('Lower shelf, Larder fridge');
  await sheet.getByRole('button', { name: 'Freeze' }).click();
  await sheet.getByRole('button', { name: 'Layer 2 Boat-shed chest' }).click();
  await expect(sheet).toContainText('Frozen in a zip bag');
  await sheet.getByRole('button', { name: 'Move down to thaw' }).click();
  await sheet.getByRole('button', { name: 'Lower shelf Larder fridge' }).click();
  await expect(sheet).toContainText('Thawed in the fridge');
  await sheet.getByRole('button', { name: 'Bin it' }).click();
  await sheet.getByRole('button', { name: 'Nobody wanted it' }).click();
  await expect(sheet).toContainText('Gone: discarded');
});

for (const path of [...VIEWS, '/kitchen/foods/ground-lamb', '/p', '/nowhere']) {
  test(`no accessibility violation on ${path}, light and dark`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light' });
    const found = await latest(page);
    if (path === '/p') {
      const { packages } = await (await page.request.get('/api/v1/stock?limit=1')).json();
      await page.goto(`/p/${packages[0].code}`);
    } else await page.goto(path);
    if (path === '/outage') {
      await page.getByRole('button', { name: '4 h ago', exact: true }).click();
      await expect(page.getByRole('region', { name: 'Throw out' })).toBeVisible();
    }
    await expectAccessible(page);
    // What changes with the light is contrast.
    await page.emulateMedia({ colorScheme: 'dark' });
    await expectAccessible(page, ['color-contrast']);
    await undoSince(page, found);
  });
}

test('on a phone: one column, nothing wider than the screen, taking is two taps at most', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const path of [...VIEWS, '/kitchen/foods/trout']) {
    await page.goto(path);
    const width = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(width).toBeLessThanOrEqual(390);
    const small = await page.evaluate(() =>
      [...document.querySelectorAll('button, a[href], select, input:not([type=checkbox])')]
        .filter((element) => element.checkVisibility() && !element.closest('p'))
        .map((element) => ({ box: element.getBoundingClientRect(), text: element.textContent }))
        .filter(({ box }) => box.width > 1 && (box.height < 43.5 || box.width < 43.5))
        .map(({ text }) => text),
    );
    expect(small).toEqual([]);
    // No strip is squeezed until its words are gone.
    const widths = await page.evaluate(() =>
      [...document.querySelectorAll('main .tape')]
        .filter((strip) => strip.checkVisibility())
        .map((strip) => strip.getBoundingClientRect().width),
    );
    expect(Math.min(...widths, Infinity)).toBeGreaterThan(40);
  }
  await page.goto('/');
  await page.getByRole('button', { name: /^Door 1/ }).click();
  const zone = page.getByRole('dialog', { name: 'Door 1' });
  await zone.getByRole('button', { name: 'Take Butter 250 g' }).first().click();
  await expect(toast(page, 'Took Butter 250 g.')).toBeVisible();
});
