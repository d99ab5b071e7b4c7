import type { Locator, Page } from '@playwright/test';
import { line } from '../fixtures/api';
import { expect, test } from './page';
import { toast } from './kitchen';

interface Stored {
  id: string;
  code: string;
}
type Press = (what: Locator) => Promise<void>;
/** From Stock, with the package shown there, to the deed. */
type Way = (page: Page, press: Press, code: string) => Promise<void>;

const MOST_CLICKS = 3;
const YESTERDAY = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
const button = (page: Page, name: string | RegExp): Locator => page.getByRole('button', { name }).last();
const opened: Way = (page, press) =>
  press(
    page
      .getByRole('row')
      .getByRole('button', { name: /^Trout/ })
      .first(),
  );
/** Opens the package, then these buttons. */
const through =
  (...names: (string | RegExp)[]): Way =>
  async (page, press, code) => {
    await opened(page, press, code);
    for (const name of names)
      await press(
        page
          .getByRole('dialog')
          .getByRole('button', { name, exact: typeof name === 'string' })
          .last(),
      );
  };
const ticked =
  (packs: number, ...names: (string | RegExp)[]): Way =>
  async (page, press) => {
    const boxes = page.getByRole('checkbox', { name: /^Choose Trout/ });
    await expect(boxes).toHaveCount(packs);
    for (const box of await boxes.all()) await press(box);
    for (const name of names) await press(button(page, name));
  };

/** What it is told as, from what it begins, and the way there. */
const WAYS: [type: string, stored: Record<string, unknown>, way: Way][] = [
  [
    'package.take',
    {},
    (page, press) => press(page.getByRole('row').getByRole('button', { name: /^Take Trout/ })),
  ],
  ['package.take', {}, through('Half of it')],
  ['package.open', {}, through('Open')],
  ['package.move', {}, through('To the counter')],
  ['package.move', {}, through('Move', /^Middle shelf/)],
  ['package.thaw', { zone: 'Layer 1', frozen_on: YESTERDAY }, through('Move down to thaw', /^Lower shelf/)],
  ['package.freeze', {}, through('Freeze', /^Layer 1|^Layer 2|^Drawer/)],
  ['package.find', {}, through('Found turning')],
  ['package.discard', {}, ticked(1, 'Bin them', 'spoiled')],
  ['package.discard', {}, through('Bin it', /Spoiled/)],
  ['package.give', {}, through('Give away')],
  ['package.compost', {}, through('Compost')],
  ['package.answer', {}, through('Eat tonight')],
  ['package.split', {}, through('Split', 'Split it')],
  ['package.merge', { packs: 2 }, ticked(2, 'Put together')],
  ['package.prepare', {}, through('Pack or prepare', 'Marinated')],
  ['package.keep-for', {}, ticked(1, 'Hands off')],
  ['package.keep-for', {}, through('Hands off', 'Keep it')],
  ['package.relabel', {}, through('New label')],
  ['package.lose', {}, through('It is nowhere')],
  ['package.put-back', {}, through('It stood out', /^Back in/)],
  [
    'package.correct',
    {},
    async (page, press, code) => {
      await through('Correct')(page, press, code);
      await page.getByRole('textbox', { name: 'In it' }).fill('550 g');
      await page.getByRole('combobox', { name: 'Why?' }).fill('weighed again');
      await press(button(page, 'Put it right'));
    },
  ],
];

test('everything that happens to a package is three clicks or fewer from Stock, and an undo away', async ({
  page,
}) => {
  test.setTimeout(420_000);
  page.setDefaultTimeout(20_000);
  const post = async <Answer>(data: Record<string, unknown>): Promise<Answer> => {
    const answer = await page.request.post('/api/v1/commands', {
      data: { id: crypto.randomUUID(), ...data },
    });
    expect(answer.status(), await answer.text()).toBe(200);
    return (await answer.json()) as Answer;
  };
  const { zones } = (await (await page.request.get('/api/v1/vocabulary')).json()) as {
    zones: { id: string; name: string }[];
  };
  const latest = async (): Promise<{ type: string; id: string }> =>
    (
      (await (await page.request.get('/api/v1/ledger?limit=1')).json()) as {
        entries: [{ type: string; id: string }];
      }
    ).entries[0];
  for (const [type, { zone = 'Lower shelf', packs = 1, ...more }, way] of WAYS) {
    const id = zones.find(({ name }) => name === zone)?.id;
    const start = { did: 'bought', on: YESTERDAY };
    const { answers } = await post<{ answers: [{ packages: Stored[] }] }>({
      type: 'haul.store',
      lines: [
        line({ packs, amount: 600 * Number(packs), called: `Trout ${type}`, zone: id, start, ...more }),
      ],
    });
    const [{ packages }] = answers;
    const { code = '' } = packages[0] ?? {};
    await page.goto(`/stock?q=${encodeURIComponent(packs === 1 ? code : `Trout ${type}`)}`);
    let clicks = 0;
    await way(
      page,
      async (what) => {
        clicks += 1;
        await what.click();
      },
      code,
    );
    const done =
      (await expect.poll(async () => (await latest()).type, { message: type }).toBe(type), await latest());
    expect([type, clicks <= MOST_CLICKS]).toEqual([type, true]);
    await toast(page, /./).getByRole('button', { name: 'Undo' }).last().click();
    // Where minutes count, the undo asks where it was.
    const asks = page.getByRole('button', { name: /^The entry was wrong/ });
    await expect
      .poll(
        async () => {
          if (await asks.isVisible()) await asks.click();
          return (await latest()).type;
        },
        { message: `${type} undone` },
      )
      .toBe('ledger.undo');
    expect(done.id).not.toBe((await latest()).id);
    for (const one of packages) {
      const found = (await (await page.request.get(`/api/v1/packages/${one.code}`)).json()) as {
        version: number;
      };
      await post({ type: 'package.discard', package: one.id, version: found.version, reason: 'unwanted' });
    }
  }
});
