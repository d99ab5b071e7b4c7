import type { DeskView } from '../../src/services/outage/cutDesk';
import { expect, test } from './page';

interface Entry {
  id: string;
  type: string;
  says: string;
  undone: boolean;
}

test.use({ serviceWorkers: 'allow' });

test('without a network the desk goes on: a cut begun, read, ten things looked at, two taken; all of it arrives once, in order, and a conflict is told', async ({
  page,
  context,
}) => {
  test.setTimeout(240_000);
  page.setDefaultTimeout(60_000);
  const ledger = async (): Promise<Entry[]> =>
    ((await (await page.request.get('/api/v1/ledger?limit=100')).json()) as { entries: Entry[] }).entries;
  const found = (await ledger())[0]?.id;
  const since = async (): Promise<Entry[]> => {
    const entries = await ledger();
    return entries.slice(
      0,
      entries.findIndex(({ id }) => id === found),
    );
  };
  await page.goto('/outage');
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          await navigator.serviceWorker.ready;
          const cache = await caches.open('orderly-frost-pages');
          return (await Promise.all(['/', '/outage', '/stock'].map((one) => cache.match(one)))).every(
            Boolean,
          );
        }),
      { timeout: 60_000 },
    )
    .toBe(true);

  await context.setOffline(true);
  await page.goto('/outage');
  await expect(page.getByRole('status').filter({ hasText: 'out of reach' })).toBeVisible();
  await page.getByRole('button', { name: '4 h ago', exact: true }).click();
  await expect(page.getByRole('heading', { name: /^Power off since/ })).toBeVisible();
  const chest = page.getByRole('region', { name: 'Boat-shed chest', exact: true });
  await expect(chest).toContainText(/published: /);
  await chest.getByLabel(/reads, °C$/).fill('-15');
  await chest.getByRole('button', { name: 'Read' }).click();
  await expect(chest).toContainText('read −15 °C');
  const next = page.getByRole('region', { name: 'Next' });
  for (let eaten = 0; eaten < 2; eaten++) {
    const button = next.getByRole('button', { name: /^Ate / }).first();
    const name = await button.innerText();
    await button.click();
    await expect(next.getByRole('button', { name, exact: true })).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Walk the zones' }).click();
  const walk = page.getByRole('region', { name: 'Walk the zones' });
  const seen: string[] = [];
  for (let at = 0; at < 10; at++) {
    seen.push(await walk.getByRole('heading').innerText());
    await walk.getByRole('button', { name: 'Slime' }).click();
    await expect(walk.getByRole('status')).toContainText('slime');
    await walk.getByRole('button', { name: 'Next' }).click();
  }
  expect(new Set(seen).size).toBe(10);
  // Closed and opened again in the dark: nothing of it is lost.
  await page.goto('/outage');
  await expect(page.getByRole('heading', { name: /^Power off since/ })).toBeVisible();
  await expect(chest).toContainText('read −15 °C');
  await page.goto('/stock');
  await expect(page.getByRole('heading', { name: 'Stock', level: 1 })).toBeVisible();
  await page.goto('/outage');
  expect(await since()).toEqual([]);

  // Somebody with a network took one of the two meanwhile.
  const waits = await page.evaluate(() =>
    Object.keys(localStorage)
      .filter((key) => key.startsWith('orderly-frost:sending:'))
      .map((key) => JSON.parse(localStorage.getItem(key) ?? '{}').state.variables)
      .sort((a, b) => a.toldAt - b.toldAt)
      .flatMap(({ commands }) => commands),
  );
  const told = waits as { id: string; type: string; package?: string; version?: number }[];
  expect(told.map(({ type }) => type)).toEqual([
    ...['cut.begin', 'cut.read', 'package.take', 'package.take'],
    ...Array.from({ length: 10 }, () => 'cut.see'),
  ]);
  const [, , mine] = told;
  const taken = { type: 'package.take', package: mine?.package, version: mine?.version };
  const other = crypto.randomUUID();
  const answer = await page.request.post('/api/v1/commands', { data: { id: other, ...taken } });
  expect(answer.status(), await answer.text()).toBe(200);

  await context.setOffline(false);
  await expect(page.getByText(/^What you told it before was refused: /).first()).toBeVisible({
    timeout: 60_000,
  });
  await expect.poll(async () => (await since()).length, { timeout: 60_000 }).toBe(told.length);
  const arrived = (await since()).reverse();
  expect(arrived.map(({ id }) => id)).toEqual([
    other,
    ...told.filter(({ id }) => id !== mine?.id).map(({ id }) => id),
  ]);
  const view = (await (await page.request.get('/api/v1/outage')).json()) as DeskView;
  expect([view.readings.length, view.seen.length]).toEqual([1, 10]);
  await expect(page.getByRole('status').filter({ hasText: 'out of reach' })).toHaveCount(0);

  for (const { id, type } of await since()) {
    const data = { id: crypto.randomUUID(), type: 'ledger.undo', command: id, meanwhile: 'cold' };
    const undone = await page.request.post('/api/v1/commands', { data });
    expect([type, undone.status(), await undone.text()]).toEqual([type, 200, expect.anything()]);
  }
});
