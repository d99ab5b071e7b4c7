import type { Page } from '@playwright/test';
import { withClockedServer } from '../fixtures/clockedServer';
import { THERE } from '../fixtures/firstFill';
import { allAnswered, expectAccessible } from './kitchen';
import { expect, test } from './page';

const NOW = '2026-11-25T14:05:00.000Z';

/** Counts keys and clicks on every page from now on. */
async function countKeys(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    const count = (): void => {
      sessionStorage.setItem('counted', String(Number(sessionStorage.getItem('counted') ?? 0) + 1));
    };
    window.addEventListener('keydown', count, true);
    window.addEventListener('pointerdown', count, true);
  });
  return async () => Number(await page.evaluate(() => sessionStorage.getItem('counted') ?? '0'));
}

test('a fresh house: own kitchen, two appliances, forty things, labels, first out; the demo put back; the own one untouched', async ({
  page,
}) => {
  test.setTimeout(600_000);
  await withClockedServer('movein', NOW, async (base) => {
    await page.context().clearCookies();
    const counted = await countKeys(page);
    await page.goto(`${base}/`);
    await expect(page).toHaveURL(/\/start$/);
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Move in' }).click();
    await page.getByRole('button', { name: 'Move in' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'What is your household called?' })).toBeVisible();
    await page.getByLabel('What is your household called?').fill('Pier View');
    await page.getByLabel('Who lives there?').fill('Ada, Finn');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Move in' }).click();
    await page.waitForURL(/\/move-in$/);

    // Two appliances in 40 keys and clicks.
    await expect(page.getByRole('heading', { name: 'What keeps your food cold?' })).toBeVisible();
    const before = await counted();
    await page.getByRole('button', { name: /^Small fridge with an ice box/ }).click();
    await expect(page.getByLabel(/^How large\?/)).toBeFocused();
    await page.keyboard.type('9000');
    await expect(page.getByRole('alert').filter({ hasText: 'Litres from' })).toBeVisible();
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type('140');
    await page.keyboard.press('Enter');
    await expect(page.getByText('140 l, 7 zones')).toBeVisible();
    await page.getByRole('button', { name: /^Chest freezer/ }).click();
    await page.getByLabel('Baskets hanging under the lid').selectOption('3');
    await page.getByLabel(/^How large\?/).click();
    await page.keyboard.press('ControlOrMeta+a');
    await page.keyboard.type('112 x 85 x 60');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/ l, 5 zones$/)).toBeVisible();
    const built = (await counted()) - before;
    expect(built).toBeLessThanOrEqual(40);
    await expectAccessible(page);

    // Forty things, zone by zone; at most 12 keys a thing beyond its name.
    await page.getByRole('link', { name: /what is in there/ }).click();
    await page.waitForURL(/\/first-fill$/);
    const begun = await counted();
    let letters = 0;
    let things = 0;
    for (const [zone, its] of THERE) {
      const field = page.getByRole('textbox', { name: `What lies in ${zone}? One line a thing` });
      for (let empty = 0; !(await field.isVisible()) && empty < 12; empty++) {
        await page.keyboard.press('Enter');
        await page.waitForTimeout(150);
      }
      await expect(field).toBeFocused();
      for (const [line, name] of its) {
        await page.keyboard.type(line);
        if (name === 'medlar') {
          // An unknown food is made by likeness in one key, the next stores it.
          await expect(page.getByRole('button', { name: /^Medlar, kept like Pears/ })).toBeVisible();
          await page.keyboard.press('Enter');
          await expect(field).toHaveValue('medlar 600 g like pears');
        }
        const reading = page.locator('#fill-reading');
        await expect(reading).toContainText(/(use|best) by|past since|How old is it\?/);
        // Asked once a zone: nothing that lies there was bought today.
        if (!(await reading.textContent())?.match(/(use|best) by|past since/))
          await page.keyboard.press('Alt+1');
        await expect(reading).toContainText(/(use|best) by|past since/);
        await page.keyboard.press('Enter');
        await expect(field).toHaveValue('');
        letters += name.length;
        things += 1;
      }
    }
    expect(things).toBeGreaterThanOrEqual(40);
    const keys = (await counted()) - begun - letters;
    expect(keys / things).toBeLessThanOrEqual(12);

    // A pasted list with bad lines: the good ones are in, the others are kept aside, a reload later too.
    const field = page.getByRole('textbox', { name: /^What lies in Layer 2/ });
    await field.evaluate((element) => {
      const data = new DataTransfer();
      data.setData('text', 'phoenix\nvenison mince 500 g\nunicorn 3 kg\npeas in pod 400 g 700 g');
      element.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    });
    await expect(page.getByRole('heading', { name: 'Kept aside: 3 lines' })).toBeVisible();
    await page.keyboard.type('half a li');
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Kept aside: 3 lines' })).toBeVisible();
    await expect(page.getByRole('textbox', { name: /^What lies in Layer 2/ })).toHaveValue('half a li');
    await expect(page.getByRole('button', { name: 'Drop: unicorn 3 kg' })).toBeVisible();
    await expectAccessible(page);

    // Labels for all of them.
    await page.getByRole('button', { name: 'Print labels for all' }).click();
    const sheet = page.getByRole('dialog', { name: /^Labels for \d+ packages/ });
    const address = await sheet.getByRole('link', { name: /Open the sheet/ }).getAttribute('href');
    const pdf = await page.request.get(`${base}${address}`);
    expect(pdf.headers()['content-type']).toBe('application/pdf');
    await page.keyboard.press('Escape');

    // First out is right: oldest and shortest-dated first, what is past on top; ages stand in the trail.
    await page.goto(`${base}/`);
    await expect(page.getByRole('link', { name: /^Household Pier View/ })).toBeVisible();
    // What was typed faster than it was answered goes on its way over the reload.
    await allAnswered(page);
    const today = (await (await page.request.get(`${base}/api/v1/today`)).json()) as {
      first_out: { view: { governing: { date: string }; food: { name: string } } }[];
      coming: { view: { food: { name: string } } }[];
      total: number;
    };
    const dates = today.first_out.map(({ view }) => view.governing.date);
    expect(dates).toEqual([...dates].sort());
    expect(today.first_out.map(({ view }) => view.food.name)).toContain('Leftover rice');
    expect(today.coming.map(({ view }) => view.food.name)).toContain('Mince');
    const { packages } = (await (await page.request.get(`${base}/api/v1/stock?q=turkey`)).json()) as {
      packages: { code: string; state: string }[];
    };
    expect(packages[0]?.state).toBe('frozen');
    const turkey = (await (
      await page.request.get(`${base}/api/v1/packages/${packages[0]?.code}`)
    ).json()) as {
      trail: { rule: string; says: string }[];
    };
    expect(turkey.trail.find(({ rule }) => rule === 'A1')?.says).toContain('counts as a year old');

    // Who did it stands in the ledger once this device said who uses it.
    await page.goto(`${base}/kitchen/household`);
    await page.getByLabel(/^Who uses this device/).selectOption('Finn');
    await expect(page.getByText('Finn signs on this device')).toBeVisible();

    const line = { food: 'kale', amount: 300, unit: 'g', start: { did: 'bought', on: '2026-11-25' } };
    const command = { id: crypto.randomUUID(), type: 'haul.store', lines: [line] };
    expect((await page.request.post(`${base}/api/v1/commands`, { data: command })).status()).toBe(200);
    const told = async (query: string) =>
      (
        (await (await page.request.get(`${base}/api/v1/ledger?${query}`)).json()) as {
          entries: { id: string; told_by: string | null }[];
        }
      ).entries.filter(({ id }) => id === command.id);
    expect(await told('q=Finn')).toEqual([expect.objectContaining({ told_by: 'Finn' })]);
    expect(await told('q=kale&on=2026-11-25')).toHaveLength(1);
    expect([await told('q=Ada'), await told('on=2026-11-24')]).toEqual([[], []]);
    // Somebody who goes stays in the ledger; what cannot be is told and changes nothing.
    const set = (changes: object) =>
      page.request.post(`${base}/api/v1/commands`, {
        data: { id: crypto.randomUUID(), type: 'household.set', changes },
      });
    expect((await set({ people: ['Ada'] })).status()).toBe(200);
    expect(await told('q=Finn')).toHaveLength(1);
    for (const changes of [
      { timeZone: 'Moon/Base' },
      { currency: 'ABC' },
      { people: ['Ada', 'ada'] },
      { name: '' },
    ])
      expect([changes, (await set(changes)).status()]).toEqual([changes, 400]);
    const twin = { name: 'pier view', time_zone: 'Europe/Dublin', currency: 'EUR' };
    expect((await page.request.post(`${base}/api/v1/households/add`, { data: twin })).status()).toBe(409);

    // Over to the demo in one press, play, put it back; ours is as it was.
    await page.getByRole('button', { name: 'To Skerry Row' }).click();
    await expect(page.getByRole('link', { name: /^Household Skerry Row/ })).toBeVisible();
    const total = async (): Promise<number> =>
      ((await (await page.request.get(`${base}/api/v1/stock?limit=1`)).json()) as { total: number }).total;
    const demo = await total();
    await page
      .getByRole('region', { name: 'First out' })
      .getByRole('button', { name: /^Take / })
      .first()
      .click();
    await expect.poll(total).toBeLessThan(demo);
    await page.goto(`${base}/kitchen/household`);
    await page.getByRole('button', { name: 'Put Skerry Row back as it was' }).click();
    await page.waitForURL(`${base}/`, { timeout: 60_000 });
    await expect.poll(total).toBe(demo);
    await page.getByRole('button', { name: 'To Pier View' }).click();
    await expect(page.getByRole('link', { name: /^Household Pier View/ })).toBeVisible();
    expect(await total()).toBe(today.total + 1);

    // Deleting asks for its name, and the demo stays.
    await page.goto(`${base}/kitchen/household`);
    await page.getByLabel(/^Delete this household/).fill('Pier');
    await page.getByRole('button', { name: 'Delete Pier View' }).click();
    await expect(page.getByRole('alert').filter({ hasText: 'Write its name, Pier View' })).toBeVisible();
    await page.getByLabel(/^Delete this household/).fill('pier view');
    await page.getByRole('button', { name: 'Delete Pier View' }).click();
    await page.waitForURL(/\/start$/);
    await expect(page.getByRole('link', { name: 'Move in' })).toBeVisible();
  });
});
