import type { Locator, Page } from '@playwright/test';
import { line } from '../fixtures/api';
import { expect, test } from './page';
import { toast } from './kitchen';

interface Stored {
  id: string;
  code: string;
}
type Press = (what: { click: () => Promise<unknown> }) => Promise<void>;
/** From Stock, with the package shown there, to the deed. */
type Way = (page: Page, press: Press, code: string) => Promise<void>;

const MOST_CLICKS = 3;
const DAY_BEFORE = new Date(Date.now() - 2 * 86_400_000).toISOString().slice(0, 10);
const YESTERDAY = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
const button = (page: Page, name: string | RegExp): Locator => page.getByRole('button', { name }).last();
const opened: Way = (page, press) =>
  press(
    page
      .getByRole('row')
      .getByRole('button', { name: /^Trout/ })
      .first(),
  );
/** Presses a button of the opened package. */
const onIt = (page: Page, press: Press, name: string | RegExp): Promise<void> =>
  press(
    (page.url().includes('/p/') ? page.getByRole('main') : page.getByRole('dialog'))
      .getByRole('button', { name, exact: typeof name === 'string' })
      .last(),
  );
/** Opens the package, then these buttons. */
const through =
  (...names: (string | RegExp)[]): Way =>
  async (page, press, code) => {
    if (!page.url().includes('/p/')) await opened(page, press, code);
    for (const name of names) await onIt(page, press, name);
  };
const ticked =
  (packs: number, ...names: (string | RegExp)[]): Way =>
  async (page, press) => {
    const boxes = page.getByRole('checkbox', { name: /^Choose Trout/ });
    await expect(boxes).toHaveCount(packs);
    for (const box of await boxes.all()) await press(box);
    for (const name of names) await press(button(page, name));
  };

/** Ticks, unfolds the rarer deeds and chooses one of a list. */
const picked =
  (packs: number, list: string, choice: string | RegExp): Way =>
  async (page, press, code) => {
    await ticked(packs, /^Freeze, split/)(page, press, code);
    const field = page.getByRole('combobox', { name: list });
    const names = await field.getByRole('option').allInnerTexts();
    const label = names.find((name) => (typeof choice === 'string' ? name === choice : choice.test(name)));
    await press({ click: () => field.selectOption({ label: label ?? '' }) });
  };
/** Opens the package, then fills and presses. */
const filled =
  (open: string, fields: Record<string, string>, press: string): Way =>
  async (page, pressed, code) => {
    await through(open)(page, pressed, code);
    for (const [label, text] of Object.entries(fields)) await page.getByLabel(label).last().fill(text);
    await onIt(page, pressed, press);
  };
const fill = async (page: Page, label: string, text: string): Promise<void> => {
  await page.getByLabel(label).fill(text);
};

/** How many clicks a way takes. */
async function counted(way: (press: Press) => Promise<void>): Promise<number> {
  let clicks = 0;
  await way(async (what) => {
    clicks += 1;
    await what.click();
  });
  return clicks;
}

async function post<Answer>(page: Page, data: Record<string, unknown>): Promise<Answer> {
  const answer = await page.request.post('/api/v1/commands', { data: { id: crypto.randomUUID(), ...data } });
  expect(answer.status(), await answer.text()).toBe(200);
  return (await answer.json()) as Answer;
}

/** It was told, in so many clicks, and is undone by the button. */
async function expectTold(page: Page, message: string, type: string, clicks: number): Promise<void> {
  const latest = async (): Promise<string> =>
    ((await (await page.request.get('/api/v1/ledger?limit=1')).json()) as { entries: [{ type: string }] })
      .entries[0].type;
  await expect.poll(latest, { message }).toBe(type);
  expect([message, clicks <= MOST_CLICKS]).toEqual([message, true]);
  await toast(page, /./).getByRole('button', { name: 'Undo' }).last().click();
  // Where minutes count, the undo asks where it was.
  const asks = page.getByRole('button', { name: /^The entry was wrong/ });
  await expect
    .poll(
      async () => {
        if (await asks.isVisible()) await asks.click();
        return latest();
      },
      { message: `${message} undone` },
    )
    .toBe('ledger.undo');
}

/** What it is told as, from what it begins, and the way there from Stock; those that open the package go from its label as well. */
const WAYS: [type: string, stored: Record<string, unknown>, way: Way, alsoByLabel?: boolean][] = [
  [
    'package.take',
    {},
    (page, press) => press(page.getByRole('row').getByRole('button', { name: /^Take Trout/ })),
  ],
  ['package.take', {}, through('Half of it'), true],
  ['package.open', {}, through('Open'), true],
  ['package.move', {}, through('To the counter'), true],
  ['package.move', {}, through('Move', /^Middle shelf/), true],
  [
    'package.thaw',
    { zone: 'Layer 1', frozen_on: YESTERDAY },
    through('Move down to thaw', /^Lower shelf/),
    true,
  ],
  [
    'package.thaw',
    { zone: 'Layer 1', frozen_on: YESTERDAY },
    picked(1, 'Move them down to thaw', /^Lower shelf/),
  ],
  ['package.freeze', {}, through('Freeze', /^Layer 1|^Layer 2|^Drawer/), true],
  ['package.freeze', {}, picked(1, 'Freeze them in', /^Layer 1/)],
  ['package.find', {}, through('Found turning'), true],
  ['package.discard', {}, ticked(1, 'Bin them', 'spoiled')],
  ['package.discard', {}, through('Bin it', /Spoiled/), true],
  ['package.give', {}, through('Give away'), true],
  ['package.compost', {}, through('Compost'), true],
  ['package.answer', {}, through('Eat tonight'), true],
  ['package.answer', {}, through('Plan', /^(Mon|Tues|Wednes|Thurs|Fri|Satur|Sun)day/), true],
  ['package.cook', {}, through('Cook', 'Cooked and eaten'), true],
  ['package.split', {}, through('Split', 'Split it'), true],
  ['package.split', {}, ticked(1, /^Freeze, split/, 'Split in halves')],
  ['package.merge', { packs: 2 }, ticked(2, 'Put together')],
  ['package.pour', {}, through('Pack or prepare', 'It is in there now'), true],
  ['package.pour', {}, picked(1, 'Poured or packed into', 'jar')],
  ['package.prepare', {}, through('Pack or prepare', 'Marinated'), true],
  ['package.prepare', {}, picked(1, 'Made ready', 'breaded')],
  ['package.keep-for', {}, ticked(1, 'Hands off')],
  ['package.keep-for', {}, through('Hands off', 'Keep it'), true],
  ['package.relabel', {}, through('New label'), true],
  ['package.relabel', {}, ticked(1, /^Freeze, split/, 'New labels')],
  ['package.lose', {}, through('It is nowhere'), true],
  ['package.put-back', {}, through('It stood out', /^Back in/), true],
  ['package.keep-out', { food: 'bread' }, through('Keep it out'), true],
  [
    'package.top-up',
    { food: 'broth-home', form: 'pot', wrap: 'tub' },
    filled('Top up', { Added: '100 g' }, 'Top up'),
    true,
  ],
  [
    'package.correct',
    {},
    filled('Correct', { 'In it': '550 g', 'Why?': 'weighed again' }, 'Put it right'),
    true,
  ],
  [
    'package.correct',
    {},
    async (page, press, code) => {
      await ticked(1, /^Freeze, split/)(page, press, code);
      await fill(page, 'They began on', DAY_BEFORE);
      await fill(page, 'Why?', 'read wrong');
      await press(button(page, 'Put them right'));
    },
  ],
];

/** What is told of the house rather than of a package: each begins on Stock, with the way and what takes it back. */
const HOUSE: [type: string, way: (page: Page, press: Press) => Promise<void>][] = [
  [
    'stock.take',
    async (page, press) => {
      await press(button(page, 'Take an amount'));
      const typed = page.locator('#quick-line');
      await expect(typed).toHaveValue(/^take 500 g/);
      await expect(page.locator('#quick-reading')).toBeAttached();
      await typed.pressSequentially('haddock');
      await press(page.locator('#quick-reading').getByRole('button', { name: /^Take/ }));
    },
  ],
  [
    'asking.keep',
    async (page, press) => {
      await page.getByPlaceholder(/older than 6 months/).fill('frozen fish');
      await press(button(page, 'Keep this question'));
    },
  ],
  [
    // Written and taken off again: a tick or a line of the list is its own answer, what was taken off comes back by the button.
    'shopping.clear',
    async (page, press) => {
      await press(page.getByRole('link', { name: 'Shopping' }));
      await fill(page, 'What is to be bought', 'candles');
      await expect(page.getByText('candles: no food of the cold store', { exact: true })).toBeVisible();
      await press(page.getByRole('button', { name: 'Add', exact: true }));
      await press(page.getByRole('button', { name: 'Off the list: candles' }));
    },
  ],
  [
    'level.set',
    async (page, press) => {
      await press(page.getByRole('link', { name: 'Shopping' }));
      await fill(page, 'How many packs of what', '3 x 250 g butter');
      await expect(page.locator('#level-wanted')).toHaveText(/^Butter: /);
      await press(page.getByRole('region', { name: 'Runs low' }).getByRole('button', { name: 'Keep' }));
    },
  ],
  [
    'kit.set',
    async (page, press) => {
      await press(page.getByRole('link', { name: 'Shopping' }));
      await fill(page, 'A kit', 'Smoothie bags');
      await fill(page, 'What goes into one, with commas', 'raspberries 100 g, kale 50 g');
      await press(button(page, 'Set it up'));
    },
  ],
  [
    'shop.order',
    async (page, press) => {
      await press(page.getByRole('link', { name: 'Shopping' }));
      await press(button(page, 'Shop order'));
      await press(page.getByRole('button', { name: /: later$/ }).first());
    },
  ],
  [
    'sheet.print',
    async (page, press) => {
      await press(page.getByRole('link', { name: 'Door sheet' }));
      await press(page.getByRole('button', { name: 'Boat-shed chest', exact: true }));
    },
  ],
];

test('everything that happens to a package is three clicks or fewer from Stock, and an undo away; from its label on a phone too', async ({
  page,
}) => {
  test.setTimeout(900_000);
  page.setDefaultTimeout(60_000);
  const { zones } = (await (await page.request.get('/api/v1/vocabulary')).json()) as {
    zones: { id: string; name: string }[];
  };
  const onPhone: typeof WAYS = WAYS.filter(([, , , alsoByLabel]) => alsoByLabel);
  for (const [byLabel, ways] of [
    [false, WAYS],
    [true, onPhone],
  ] as const) {
    if (byLabel) await page.setViewportSize({ width: 390, height: 844 });
    for (const [type, { zone = 'Lower shelf', packs = 1, ...more }, way] of ways) {
      const { answers } = await post<{ answers: [{ packages: Stored[] }] }>(page, {
        type: 'haul.store',
        lines: [
          line({
            ...{ packs, amount: 600 * Number(packs), called: `Trout ${type}` },
            ...{ zone: zones.find(({ name }) => name === zone)?.id, start: { did: 'bought', on: YESTERDAY } },
            ...more,
          }),
        ],
      });
      const [{ packages }] = answers;
      const { code = '' } = packages[0] ?? {};
      await page.goto(
        byLabel ? `/p/${code}` : `/stock?q=${encodeURIComponent(packs === 1 ? code : `Trout ${type}`)}`,
      );
      const clicks = await counted((press) => way(page, press, code));
      await expectTold(page, `${type}${byLabel ? ' by its label' : ''}`, type, clicks);
      for (const one of packages) {
        const { version } = (await (await page.request.get(`/api/v1/packages/${one.code}`)).json()) as {
          version: number;
        };
        await post(page, { type: 'package.discard', package: one.id, version, reason: 'unwanted' });
      }
    }
  }
});

test('what is told of the house is three clicks or fewer from Stock, and an undo away', async ({ page }) => {
  test.setTimeout(300_000);
  page.setDefaultTimeout(60_000);
  for (const [type, way] of HOUSE) {
    await page.goto('/stock');
    await expectTold(page, type, type, await counted((press) => way(page, press)));
  }
});

test('every command of the running stock has its way in the list', async ({ request }) => {
  const listed = new Set([...WAYS.map(([type]) => type), ...HOUSE.map(([type]) => type)]);
  // What is told where it stands: written on the list, a sheet taken down, a photo put to a package.
  const elsewhere = ['shopping.write', 'sheet.drop', 'package.picture', 'ledger.undo'];
  const { paths } = (await (await request.get('/api/v1/openapi.json')).json()) as {
    paths: Record<string, unknown>;
  };
  const told = JSON.stringify(paths['/api/v1/commands']).matchAll(/"enum":\["([a-z]+\.[a-z-]+)"\]/g);
  const running = [...new Set([...told].map(([, type]) => type ?? ''))].filter((type) =>
    /^(package|stock|shopping|shop|level|kit|sheet|asking|ledger)\./.test(type),
  );
  expect(running.length).toBeGreaterThan(25);
  expect(running.filter((type) => !listed.has(type) && !elsewhere.includes(type))).toEqual([]);
});
