import { createConnection } from 'mysql2/promise';
import type { Package } from '../../src/core/model/package';
import type { LookBackView } from '../../src/services/lookback/lookBack';
import { BASE, command, get, line } from '../fixtures/api';

interface Event {
  type: string;
  before_image: Package | string | null;
  after_image: Package | string;
  month: string;
}

const parsed = (image: Package | string): Package =>
  typeof image === 'string' ? (JSON.parse(image) as Package) : image;
const left = ({ gone, amount }: Package): number => (gone ? 0 : amount);
const worth = ({ gone, priceMinor }: Package): number => (gone ? 0 : (priceMinor ?? 0));

/** What was lost by the ledger itself, every event told one by one. */
async function lostByLedger(household: number): Promise<Map<string, { grams: number; minor: number }>> {
  const db = await createConnection({ uri: process.env.DATABASE_URL ?? '', dateStrings: true });
  const [rows] = await db.query(
    `SELECT event.type, event.before_image, event.after_image, DATE_FORMAT(event.at, '%Y-%m') AS month
       FROM ledger_event AS event
       JOIN command ON command.id = event.command_id
      WHERE event.household_id = ? AND command.undone_by IS NULL AND event.before_image IS NOT NULL`,
    [household],
  );
  await db.end();
  const sums = new Map<string, { grams: number; minor: number }>();
  for (const row of rows as Event[]) {
    if (!['package.discarded', 'package.composted', 'package.lost'].includes(row.type)) continue;
    const [before, after] = [parsed(row.before_image ?? ''), parsed(row.after_image)];
    const sum = sums.get(row.month) ?? { grams: 0, minor: 0 };
    sum.grams += before.unit === 'pc' ? 0 : before.amount - left(after);
    sum.minor += (before.priceMinor ?? 0) - worth(after);
    sums.set(row.month, sum);
  }
  return sums;
}

const view = async (): Promise<LookBackView> => (await get('/api/v1/look-back')).body as LookBackView;
const totals = ({ charts }: LookBackView, id: string): Record<string, number> =>
  Object.fromEntries(
    (charts.find((one) => one.id === id)?.series ?? []).map(({ name, values }) => [
      name,
      values.reduce((sum, value) => sum + value, 0),
    ]),
  );

it('the charts agree with the ledger: by reason, food, zone and month; parts count as parts, what was undone not at all', async () => {
  const haul = crypto.randomUUID();
  const stored = await command({
    id: haul,
    type: 'haul.store',
    lines: [line({ food: 'carrots', amount: 2000, packs: 4, price_minor: 800 })],
  });
  const [a, b, c, d] = stored.body.answers?.[0]?.packages ?? stored.body.packages;
  const on = (one: { id: string; version: number }) => ({ package: one.id, version: one.version });
  const before = await view();
  const told: string[] = [];
  const tell = async (body: Record<string, unknown>): Promise<void> => {
    const id = crypto.randomUUID();
    const { status, body: answer } = await command({ id, ...body });
    expect([body.type, status, status === 200 ? '' : answer]).toEqual([body.type, 200, '']);
    told.push(id);
  };
  await tell({ type: 'package.discard', ...on(a), amount: 200, reason: 'spoiled' });
  await tell({ type: 'package.discard', ...on(b), amount: null, reason: 'past-date' });
  await tell({ type: 'package.compost', ...on(c), amount: null });
  await tell({ type: 'package.lose', ...on(d) });
  const after = await view();
  for (const id of ['reason', 'food', 'zone', 'month']) {
    const [was, is] = [totals(before, id), totals(after, id)];
    expect([id, (is.Weight ?? 0) - (was.Weight ?? 0)]).toEqual([id, 1700]);
    expect([id, (is.Money ?? 0) - (was.Money ?? 0)]).toEqual([id, 680]);
  }
  const { body } = await get('/api/v1/households');
  const months = await lostByLedger(body.here ?? body.households[0].id);
  const chart = after.charts.find(({ id }) => id === 'month');
  expect(
    Object.fromEntries(
      chart?.labels.map((label, at) => [label, chart.series.map(({ values }) => values[at])]) ?? [],
    ),
  ).toEqual(Object.fromEntries([...months].map(([month, { grams, minor }]) => [month, [grams, minor]])));
  expect(after.buy_less.find(({ name }) => name.startsWith('Carrot'))?.share ?? 0).toBeGreaterThan(0.1);

  const csv = await (await fetch(`${BASE}/api/v1/look-back/csv?chart=reason`)).text();
  expect(csv).toContain('weight_g,money_money');
  expect((await get('/api/v1/look-back/csv?chart=nothing')).status).toBe(404);
  for (const id of [...told.reverse(), haul])
    await command({ type: 'ledger.undo', command: id, meanwhile: 'cold' });
  expect(totals(await view(), 'reason')).toEqual(totals(before, 'reason'));
  expect((await get(`/api/v1/packages/${a.code}`)).status).toBe(404);
});
