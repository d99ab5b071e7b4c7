import { type Page } from '@playwright/test';
import { withClockedServer } from '../fixtures/clockedServer';
import { beginHaul, chooseLine, lineOf, lines, readBench, tellLine } from './bench';
import { expectAccessible } from './kitchen';
import { expect, test } from './page';

const BEGIN = '2026-11-25T14:05:00.000Z';

const TOLD = [
  ['mutton mince 3.9 kg / 7 flat @ 28.20', 'Mutton mince'],
  ['chowder 2.4 l / 6 jar cooked', 'Chowder'],
  ['parsley 60 g cubes', 'Parsley'],
  ['raspberries 900 g / 3 loose @ 9.10', 'Raspberries'],
  ['bread 16 / 2 slices @ 3.35', 'Bread'],
  ['eggs 14 @ 4.20', 'Eggs'],
  ['milk 2 l @ 2.60', 'Milk'],
  ['kale 250 g', 'Kale'],
  ['tomato paste 360 g scored @ 2.99', 'Tomato paste'],
  ['pheasant 350 g whole @ 11.00', 'Pheasant'],
  ['broth carton 1 l opened @ 1.95', 'Broth carton'],
  ['pork sausages 1.2 kg, half freeze @ 10.01', 'Pork sausages'],
] as const;

/** Labels the chosen line and waits until it is. */
async function label(page: Page, name: string): Promise<void> {
  await chooseLine(page, name);
  if (await page.getByText('Raw meat next').isVisible())
    await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByText('Raw meat next')).toBeHidden();
  await page.getByRole('button', { name: /^Label (it|\d+) and go on$/ }).click();
  await expect(lineOf(page, name)).toContainText(/labelled/);
}

test('a haul of twelve lines goes from the counter to the zones, with a reload and an undo, grams and cents exact', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await withClockedServer('haul', BEGIN, async (base) => {
    await beginHaul(page, base);
    for (const [text, name] of TOLD.slice(0, 6)) await tellLine(page, text, name);

    // Bulk mince in two forms: four flat, three as meatballs.
    await chooseLine(page, 'Mutton mince');
    await page.getByRole('button', { name: 'Another form' }).click();
    const second = page.getByRole('region', { name: '3 for the freezer' });
    await second.getByRole('button', { name: 'meatballs on a tray' }).click();
    await expect(second.getByRole('img', { name: /^About \d+ pieces of 40 mm/ })).toBeVisible();
    await expect(
      page.getByRole('region', { name: '4 for the freezer' }).getByText('thaws, fridge'),
    ).toBeVisible();
    await page.getByRole('textbox', { name: 'Cooking instructions' }).fill('pan from frozen, 12 min');
    await expect(page.getByRole('status').filter({ hasText: /^saved$/ })).toBeAttached();

    // The tab is closed and opened again: all of it is there.
    await expect
      .poll(async () => (await readBench(page, base)).lines.at(0)?.parts.map((part) => part.packing))
      .toEqual(['flat', 'meatballs']);
    await page.reload();
    await expect(lines(page).getByRole('listitem')).toHaveCount(6);
    await chooseLine(page, 'Mutton mince');
    await expect(page.getByRole('textbox', { name: 'Cooking instructions' })).toHaveValue(
      'pan from frozen, 12 min',
    );
    for (const [text, name] of TOLD.slice(6)) await tellLine(page, text, name);

    // Greens in a towel, with the day they want to be looked at again.
    await chooseLine(page, 'Kale');
    await page.getByRole('button', { name: 'rolled in a dry towel' }).click();
    await expect(page.getByText(/look at it again in 4 days/)).toBeVisible();
    await chooseLine(page, 'Parsley');
    await expect(page.getByRole('img', { name: /cubes of 15 ml/ })).toBeVisible();
    await chooseLine(page, 'Chowder');
    await expect(
      page.getByRole('img', { name: /the fill line is at 424 ml, 19 mm under the rim/ }).first(),
    ).toBeVisible();
    await chooseLine(page, 'Tomato paste');
    await expect(page.getByRole('img', { name: /scored in \d+ of \d+ g/ })).toBeVisible();
    await chooseLine(page, 'Pork sausages');
    await expect(page.getByRole('region', { name: '1 for the fridge' })).toBeVisible();
    await expect(page.getByRole('region', { name: '1 for the freezer' })).toBeVisible();
    await expectAccessible(page);

    // Milk is labelled, undone, and labelled again: one package, not two.
    await label(page, 'Milk');
    await page
      .getByRole('status')
      .filter({ hasText: 'Labelled 1 of Milk' })
      .getByRole('button', { name: 'Undo' })
      .click();
    await expect(lineOf(page, 'Milk')).not.toContainText('labelled');
    await label(page, 'Milk');
    for (const [, name] of TOLD.filter((told) => told[1] !== 'Milk')) await label(page, name);
    await expect(page.getByText('hands 20 seconds with soap')).toBeVisible();
    await page.getByRole('button', { name: 'Done', exact: true }).click();

    const bench = await readBench(page, base);
    expect(bench.lines).toHaveLength(12);
    for (const line of bench.lines) {
      const packs = bench.packs.filter((pack) => pack.line === line.id && !pack.gone);
      const sum = (of: (number | null)[]): number => of.reduce<number>((all, one) => all + (one ?? 0), 0);
      expect([line.called, packs.length]).toEqual([
        line.called,
        line.parts.flatMap((part) => part.amounts).length,
      ]);
      expect([line.called, sum(packs.map((pack) => pack.amount))]).toEqual([line.called, line.amount]);
      expect([line.called, sum(packs.map((pack) => pack.price_minor))]).toEqual([
        line.called,
        line.priceMinor ?? 0,
      ]);
    }
    expect(bench.packs.filter((pack) => !pack.gone)).toHaveLength(27);

    // One walk, appliance by appliance.
    await page.getByRole('button', { name: 'Put away 27' }).first().click();
    const all = page.getByRole('button', { name: /^All \d+ are in$/ });
    await expect(all.first()).toBeVisible();
    await expectAccessible(page);
    for (let doors = await all.count(); doors > 0; doors--) {
      await all.first().click();
      await expect(all).toHaveCount(doors - 1);
    }
    await expect(page.getByRole('heading', { name: 'Everything is in its place' })).toBeVisible();
    await page.getByRole('button', { name: 'Finish the haul' }).click();
    await expect(page.getByRole('button', { name: 'Begin the haul' })).toBeVisible();

    const { packages } = (await (await page.request.get(`${base}/api/v1/stock?limit=500`)).json()) as {
      packages: { code: string; state: string; zone: { name: string } | null }[];
    };
    const mine = new Map(packages.map((one) => [one.code, one]));
    for (const pack of bench.packs.filter(({ gone }) => !gone)) {
      const kept = mine.get(pack.code);
      expect([pack.code, kept?.state === 'room' || kept?.zone !== null]).toEqual([pack.code, true]);
    }
    await page.goto(`${base}/`);
    await expect(page.getByRole('button', { name: /^Layer 1/ })).toContainText('Mutton mince');
    await expect(page.getByRole('button', { name: /^Middle shelf/ })).toContainText('Milk');
    // What the chest could not take today waits in the fridge with a job for tomorrow; the kale for a look.
    const jobs = (await (await page.request.get(`${base}/api/v1/today`)).json()) as {
      jobs: { name: string }[];
    };
    expect(JSON.stringify(jobs)).toBeTruthy();
    await page.goto(`${base}/kitchen/upkeep`);
    await expect(page.getByText(/^Freeze \d+ × /).first()).toBeVisible();
    await expect(page.getByText(/^Look at Kale/)).toBeVisible();
  });
});

test('the bench asks at two hours, warns before, and a bulk pack takes few strokes', async ({ page }) => {
  test.setTimeout(120_000);
  await withClockedServer('clock', BEGIN, async (base, set) => {
    const later = async (minutes: number): Promise<void> => {
      set(new Date(Date.parse(BEGIN) + minutes * 60_000).toISOString());
      await page.reload();
    };
    await beginHaul(page, base);

    // Every key and click counts: typed, labelled, put away.
    let strokes = 0;
    await page.exposeFunction('stroke', () => void strokes++);
    await page.evaluate(() => {
      const count = (window as unknown as { stroke: () => void }).stroke;
      for (const kind of ['keydown', 'click'])
        window.addEventListener(kind, (event) => event.isTrusted && count(), true);
    });
    await page.keyboard.press('/');
    await page.keyboard.type('mutton mince 3.9kg 28.20€ /7 flat');
    await expect(page.getByRole('button', { name: /^On the bench/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(lineOf(page, 'Mutton mince')).toContainText('7 × flat');
    await page.getByRole('button', { name: 'Label 7 and go on' }).click();
    await page.getByRole('button', { name: 'Put away 7' }).first().click();
    const all = page.getByRole('button', { name: /^All \d+ are in$/ });
    await expect(all.first()).toBeVisible();
    for (let doors = await all.count(); doors > 0; doors--) {
      await all.first().click();
      await expect(all).toHaveCount(doors - 1);
    }
    await expect(page.getByRole('heading', { name: 'Everything is in its place' })).toBeVisible();
    expect(strokes).toBeGreaterThan(10);
    expect(strokes).toBeLessThanOrEqual(60);
    console.log(`Strokes for a bulk pack into 7 labelled, placed packs: ${strokes}`);

    await page.getByRole('button', { name: 'Back to the bench' }).click();
    await tellLine(page, 'cod 800 g @ 14.00', 'Cod');
    await chooseLine(page, 'Cod');
    await later(70);
    await chooseLine(page, 'Cod');
    await expect(page.getByText(/Out for 70 min, 50 min left/)).toBeVisible();
    await later(105);
    await expect(page.getByText(/Put it away now: 15 min left/)).toBeVisible();
    await page.getByRole('button', { name: 'Hot day' }).click();
    await expect(page.getByRole('alertdialog', { name: 'Time is up' })).toContainText('105 minutes');
    await page.getByRole('button', { name: 'Hot day' }).click();
    await expect(page.getByRole('alertdialog')).toHaveCount(0);
    await later(125);
    const asks = page.getByRole('alertdialog', { name: 'Time is up' });
    await expect(asks).toContainText('Cod has stood 125 minutes');
    await expect(page.getByRole('button', { name: 'Label it and go on' })).toBeDisabled();
    await asks.getByRole('button', { name: 'out for 30 min' }).click();
    await expect(page.getByText(/Out for 30 min/)).toBeVisible();
    await later(300);
    await asks.getByRole('button', { name: 'Throw it out' }).click();
    await expect(page.getByRole('status').filter({ hasText: 'threw out Cod' })).toBeVisible();

    // The mince has used up what the chest takes today: soup for it goes into the other freezer, as much as that takes.
    await tellLine(page, 'chowder 6 l / 15 tub cooked', 'Chowder');
    await expect
      .poll(async () => {
        const { freezing } = (await (await page.request.get(`${base}/api/v1/haul/places`)).json()) as {
          freezing: {
            called: string;
            limit_g: number;
            today_g: number;
            days: { day: number; grams: number }[];
          }[];
        };
        return freezing.map(({ called, limit_g, today_g, days }) => {
          const grams = days.find(({ day }) => day === 1)?.grams ?? 0;
          return [called, grams > 0, grams + today_g <= limit_g];
        });
      })
      .toEqual(expect.arrayContaining([['Under-drawer', true, true]]));
    const bench = await readBench(page, base);
    expect(
      bench.packs.filter(({ line }) => line === bench.lines.find(({ called }) => called === 'Cod')?.id),
    ).toEqual([expect.objectContaining({ gone: true, price_minor: 1400 })]);
  });
});
