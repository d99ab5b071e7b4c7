import { parse } from 'csv-parse/sync';
import type { Page } from '@playwright/test';
import type { DeskView } from '../../src/services/outage/cutDesk';
import { readPages } from '../fixtures/readPages';
import { expectAccessible, latest, toast, undoSince } from './kitchen';
import { expect, test } from './page';

const HOUR_MS = 3_600_000;

async function deskOf(page: Page): Promise<DeskView> {
  return (await (await page.request.get('/api/v1/outage')).json()) as DeskView;
}
async function stock(page: Page): Promise<string[]> {
  const { packages } = (await (await page.request.get('/api/v1/stock?limit=500')).json()) as {
    packages: { code: string; use_by: string | null; best_by: string }[];
  };
  return packages.map(({ code, use_by, best_by }) => `${code} ${use_by} ${best_by}`).sort();
}
const pdfOf = async (page: Page, address: string): Promise<string> => {
  const pages = await readPages(new Response(new Uint8Array(await (await page.request.get(address)).body())));
  return pages.map(({ text }) => text).join(' ');
};

let found = '';
test.beforeEach(async ({ page }) => {
  page.setDefaultTimeout(60_000);
  found = await latest(page);
});
test.afterEach(({ page }) => undoSince(page, found));

test('a cut is begun late, read, looked at, ended and judged; what is decided happens, is on the loss list, and one undo takes it back', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.goto('/outage');
  const before = await stock(page);
  await page.getByLabel('or since', { exact: true }).fill('2099-01-05T10:00');
  await expect(page.getByText('cannot have gone off after now')).toBeVisible();
  await page.getByLabel('or since', { exact: true }).fill('');
  await expectAccessible(page);
  await page.getByRole('button', { name: '24 h ago' }).click();
  await expect(page.getByRole('heading', { name: /^Power off since/ })).toBeVisible();
  const out = page.getByRole('region', { name: 'Throw out' });
  await out.getByRole('button', { name: /^Mussels/ }).click();
  await expect(out).toContainText(/without power; the published limit is 4 h/);
  await expect(out).toContainText(/Rule O2 · published limit · after .*FoodSafety/);
  await expect(out).toContainText(/What would change it: Readings of its air, one in the first quarter/);
  // What it holds is reckoned in the page, and the chart has its figures behind it.
  const chest = page.getByRole('region', { name: 'Boat-shed chest', exact: true });
  await expect(chest).toContainText(/published: /);
  await expect(page.getByRole('heading', { name: /: how it will warm$/ })).toBeVisible();

  // A figure that is °F is asked about; left, nothing is kept of it.
  await chest.getByLabel(/reads, °C$/).fill('60');
  await chest.getByRole('button', { name: 'Read' }).click();
  await expect(page.getByRole('heading', { name: 'Is that reading right?' })).toBeVisible();
  await expect(page.getByRole('dialog')).toContainText('15.6 °C');
  await page.getByRole('button', { name: 'Leave it as it is' }).click();
  expect((await deskOf(page)).readings).toEqual([]);
  await chest.getByLabel(/reads, °C$/).fill('−6,5');
  await chest.getByRole('button', { name: 'Read' }).click();
  await expect(chest).toContainText(/read −6.5 °C at/);
  await chest.getByRole('button', { name: /was opened$/ }).click();
  await expect(chest).toContainText('opened once');

  // What is seen beats the clock, and is kept as it is given.
  const look = page.getByRole('region', { name: 'Look first' });
  // One that was taken and undone before may stand by itself.
  await look
    .getByRole('button', { name: /^Haddock/ })
    .first()
    .click();
  await look.getByRole('button', { name: 'No ice' }).click();
  await expect(out.getByRole('button', { name: /^Haddock/ })).toBeVisible();
  await out.getByRole('button', { name: 'Ice crystals' }).click();
  const again = page.getByRole('region', { name: 'Freeze again, for cooking' });
  await expect(again.getByRole('button', { name: /^Haddock/ })).toBeVisible();
  await page.reload();
  await expect(again.getByRole('button', { name: /^Haddock/ })).toBeVisible();

  await page.getByRole('button', { name: 'Power is back' }).click();
  await expect(page.getByRole('heading', { name: /^The power was off for 24 h/ })).toBeVisible();
  // What was seen while it was off says nothing of the rest of it: it is looked at once more.
  await look
    .getByRole('button', { name: /^Haddock/ })
    .first()
    .click();
  await look.getByRole('button', { name: 'Ice crystals' }).click();
  await expect(again.getByRole('button', { name: /^Haddock/ })).toBeVisible();
  await page.getByRole('button', { name: /^Do what is decided: \d+/ }).click();
  const list = page.getByRole('dialog');
  await expect(list).toContainText(/\d+ lost to the cut: .*kg.*€/);
  await expectAccessible(page);
  await list.getByRole('checkbox', { name: /^Mussels/ }).uncheck();
  await list.getByRole('button', { name: /^Do it: \d+ thrown out/ }).click();
  await expect(toast(page, 'After the power cut')).toBeVisible();
  const { cut, decided, things } = await deskOf(page);
  const outcomes = decided.flatMap((one) => one.things);
  const lost = outcomes.filter(({ did, rule }) => did === 'discard' && rule !== 'date');
  const here = new Set(things.map(({ id }) => id));
  expect(lost.length).toBeGreaterThan(10);
  expect(lost.filter((one) => here.has(one.package))).toEqual([]);
  expect(outcomes.filter(({ did }) => did === 'refreeze').length).toBeGreaterThan(0);
  await expect(out.getByRole('button', { name: /^Mussels/ })).toBeVisible();

  // On paper and in the table stands what the database says.
  const minor = lost.reduce((sum, { priceMinor }) => sum + (priceMinor ?? 0), 0);
  const paper = await pdfOf(page, `/api/v1/outage/losses?cut=${cut}`);
  expect(paper).toContain(`${lost.length} packages`);
  expect(paper).toContain((minor / 100).toFixed(2));
  const csv = await (await page.request.get(`/api/v1/outage/losses/csv?cut=${cut}`)).text();
  const rows = parse(csv, { columns: true, bom: true }) as { code: string; price: string }[];
  expect(rows.map(({ code }) => code).sort()).toEqual(lost.map(({ code }) => code).sort());
  expect(Math.round(rows.reduce((sum, { price }) => sum + Number(price) * 100, 0))).toBe(minor);

  await toast(page, 'After the power cut').getByRole('button', { name: 'Undo' }).last().click();
  await expect.poll(() => stock(page)).toEqual(before);
  expect((await deskOf(page)).decided).toEqual([]);
  await page.getByRole('button', { name: 'Put the desk away' }).click();
  await expect(page.getByRole('heading', { name: 'Is the power off?' })).toBeVisible();
  await page.goto('/outage/cuts');
  await expect(page.getByRole('listitem').filter({ hasText: '24 h' })).toBeVisible();
  await undoSince(page, found);
  expect(await stock(page)).toEqual(before);
});

test('on a phone the zones are walked one by one; each answer is kept, half a walk goes on where it was left', async ({
  page,
}) => {
  test.setTimeout(180_000);
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/outage');
  await page.getByRole('button', { name: '8 h ago' }).click();
  await page.getByRole('button', { name: 'Power is back' }).click();
  await page.getByRole('button', { name: 'Walk the zones' }).click();
  const walk = page.getByRole('region', { name: 'Walk the zones' });
  await expect(walk).toContainText(/Larder fridge · .* · 1 of \d+/);
  await expectAccessible(page);
  await walk.getByRole('button', { name: 'Slime' }).click();
  await expect(walk.getByRole('status')).toContainText('Throw out: Throw it out: slime. Never taste.');
  const first = await walk.getByRole('heading').innerText();
  await walk.getByRole('button', { name: 'Stop here' }).click();
  await page.getByRole('button', { name: 'Walk the zones' }).click();
  await expect(walk.getByRole('heading')).not.toHaveText(first);
  await walk.getByRole('button', { name: 'Back' }).click();
  await expect(walk.getByRole('heading')).toHaveText(first);
  await walk.getByRole('button', { name: 'It is out' }).click();
  await expect(toast(page, '1 thrown out')).toBeVisible();
  await expect(walk.getByRole('heading')).not.toHaveText(first);
});

test('before a storm: water, ice and food by the drawing, ticks that stay, a countdown; the card fits one page and counts right', async ({
  page,
}) => {
  await page.goto('/outage/prepare');
  const cold = page.getByRole('region', { name: 'Cold that lasts' });
  await expect(cold).toContainText(
    /\d+ l of water in bottles into the gaps of Boat-shed chest: about \d+ h as it is, with the bottles/,
  );
  await expect(page.getByRole('region', { name: 'Food' })).toContainText('Freeze now, in this order');
  await expectAccessible(page);
  await cold.getByRole('checkbox', { name: /^The paper card/ }).check();
  await expect.poll(async () => (await deskOf(page)).plan?.ticked).toEqual(['card']);
  const soon = new Date(Date.now() + 30 * HOUR_MS);
  await page
    .getByLabel('The storm is expected')
    .fill(new Date(soon.getTime() - soon.getTimezoneOffset() * 60_000).toISOString().slice(0, 16));
  await page.getByRole('button', { name: 'Count down' }).click();
  await expect(page.getByRole('timer')).toContainText(/^(29|30) h left$/);
  await page.reload();
  await expect(cold.getByRole('checkbox', { name: /^The paper card/ })).toBeChecked();

  const pages = await readPages(
    new Response(new Uint8Array(await (await page.request.get('/api/v1/outage/card')).body())),
  );
  expect(pages).toHaveLength(1);
  const text = pages[0]?.text ?? '';
  const { parts, zones, things } = await deskOf(page);
  const partOf = new Map(zones.map(({ id, part }) => [id, part]));
  for (const { id, called } of parts) {
    const many = things.filter(({ zoneId }) => partOf.get(zoneId ?? '') === id).length;
    expect(text).toMatch(new RegExp(`${called}: .*? · ${many} packages`, 's'));
  }
  expect(text).toMatch(/When in doubt, throw it out/);
});

test('what was pencilled on the card is put in at once, and undone at once', async ({ page }) => {
  await page.goto('/outage');
  await page.getByRole('button', { name: '8 h ago' }).click();
  await page.getByRole('button', { name: 'From the card' }).click();
  const card = page.getByRole('form', { name: 'From the paper card' });
  const chest = card.getByRole('group', { name: 'Boat-shed chest' });
  const local = (hoursAgo: number): string => {
    const at = new Date(Date.now() - hoursAgo * HOUR_MS);
    return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
  };
  await chest.getByLabel('1. at').fill(local(7.5));
  await expect(card.getByText('Boat-shed chest: a reading needs a time and a temperature.')).toBeVisible();
  await chest.getByLabel('°C').first().fill('-17');
  await chest.getByLabel('2. at').fill(local(0.5));
  await chest.getByLabel('°C').nth(1).fill('-12');
  await chest.getByLabel('Telltale').selectOption('loose');
  // Done, and the answer lost: it is asked again, and each reading keeps its own time.
  await page.route(
    '**/api/v1/commands',
    async (route) => {
      await route.fetch();
      await route.abort('connectionreset');
    },
    { times: 1 },
  );
  await card.getByRole('button', { name: 'Put in 3' }).click();
  await expect(card).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'Boat-shed chest', exact: true })).toContainText(
    'read −12 °C',
  );
  await expect(
    page.getByRole('region', { name: 'Keeps' }).getByRole('button', { name: /^Mutton mince/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect.poll(async () => (await deskOf(page)).readings.length).toBe(0);
});

test('two people at the desk at once: each sees what the other told, and nothing is lost', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000);
  const other = await (
    await browser.newContext({ storageState: await page.context().storageState() })
  ).newPage();
  other.setDefaultTimeout(60_000);
  await Promise.all([page.goto('/outage'), other.goto('/outage')]);
  await page.getByRole('button', { name: '4 h ago', exact: true }).click();
  const chest = (one: Page) => one.getByRole('region', { name: 'Boat-shed chest', exact: true });
  await expect(chest(other)).toBeVisible();
  const read = async (one: Page, c: string): Promise<void> => {
    await chest(one)
      .getByLabel(/reads, °C$/)
      .fill(c);
    await chest(one).getByRole('button', { name: 'Read' }).click();
  };
  await Promise.all([read(page, '-15'), read(other, '-14')]);
  await expect.poll(async () => (await deskOf(page)).readings.map(({ c }) => c).sort()).toEqual([-14, -15]);
  await other.getByRole('button', { name: 'Power is back' }).click();
  await expect(page.getByRole('heading', { name: /^The power was off for/ })).toBeVisible();
  await other.context().close();
});

test.describe('in the night the clocks go back', () => {
  test.use({ timezoneId: 'Europe/Dublin' });
  test('a cut is as long as it was, not as the clocks on the wall say', async ({ page }) => {
    await page.goto('/outage');
    await page.getByRole('button', { name: '1 h ago' }).click();
    await page.getByRole('button', { name: 'Times' }).click();
    await page.getByLabel('Power went off').fill('2026-10-25T00:30');
    await page.getByLabel(/^Power came back/).fill('2026-10-25T03:30');
    await page.getByRole('button', { name: 'Put right' }).click();
    await expect(page.getByRole('heading', { name: /^The power was off for 4 h/ })).toBeVisible();
  });
});
