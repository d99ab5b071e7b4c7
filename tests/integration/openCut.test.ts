import { randomUUID } from 'node:crypto';
import { newAppliance } from '@/core/kitchen/newAppliance';
import { type Answer, BASE, get, post } from '../fixtures/api';

/** A household of its own, with its fridge, so that nobody else's cut is in the way. */
async function household() {
  const words = { name: `Saltmarsh ${randomUUID().slice(0, 8)}`, time_zone: 'UTC', currency: 'EUR' };
  const { id } = (await post('/api/v1/households/add', words)).body as { id: number };
  const headers = { 'x-orderly-frost-household': String(id) };
  const read = async (path: string) => {
    const response = await fetch(`${BASE}${path}`, { headers });
    const text = await response.text();
    return {
      status: response.status,
      text,
      body: (text.startsWith('{') ? JSON.parse(text) : {}) as Answer['body'],
    };
  };
  const tell = (...commands: object[]) =>
    post(
      '/api/v1/commands',
      commands.map((one) => ({ id: randomUUID(), ...one })),
      undefined,
      headers,
    );
  const gone = () => post('/api/v1/households/remove', { id, name: words.name });
  return { read, tell, gone };
}
const HOUR_MS = 3_600_000;

it('until a power cut is decided nothing of it is offered, told as fine or accepted; put away, it is to be thrown out', async () => {
  const { read, tell, gone } = await household();
  const appliance = newAppliance('fridge', 'Larder fridge', 'Larder', randomUUID);
  const drawn = await tell({ type: 'appliance.draw', appliance, version: null });
  expect([drawn.status, drawn.body.error]).toEqual([200, undefined]);
  const zone = appliance.zones.find(({ side, kind }) => side === 'body' && kind !== 'bin')?.id;
  const before = new Date(Date.now() - 30 * HOUR_MS).toISOString();
  const line = { food: 'ham-sliced', called: 'Ham', amount: 400, unit: 'g', packs: 2, zone };
  const stored = await tell({
    type: 'haul.store',
    lines: [{ ...line, start: { did: 'bought', on: before.slice(0, 10) } }],
  });
  expect([stored.status, stored.body.error]).toEqual([200, undefined]);
  const [ham] = stored.body.answers[0].packages as { id: string; code: string; version: number }[];
  const code = ham?.code ?? '';
  const offered = async (): Promise<Record<string, boolean>> => {
    const has = async (path: string) => (await read(path)).text.includes(code);
    return {
      take: await has('/api/v1/take'),
      leftovers: JSON.stringify((await read('/api/v1/meals')).body.leftovers ?? []).includes(code),
      give: JSON.stringify((await read('/api/v1/leaving')).body.give ?? []).includes(code),
      csv: (await read('/api/v1/stock/csv')).text.includes(',yes,'),
      guest: await has('/api/v1/guest'),
    };
  };
  const fine = await offered();
  expect([fine.take, fine.csv]).toEqual([true, false]);

  const parts = ((await read('/api/v1/outage')).body.parts as { id: string }[]).map(({ id }) => ({
    ...{ id, fill: 0.5, doors: 'shut' },
  }));
  const cut = randomUUID();
  const [from, until] = [12, 2].map((hours) => new Date(Date.now() - hours * HOUR_MS).toISOString());
  const begun = await tell({ type: 'cut.begin', cut, from, parts }, { type: 'cut.time', cut, from, until });
  expect([begun.status, begun.body.error]).toEqual([200, undefined]);
  const open = await offered();
  expect([open.take, open.leftovers, open.give, open.guest, open.csv]).toEqual([
    false,
    false,
    false,
    false,
    true,
  ]);
  const view = (await read(`/api/v1/packages/${code}`)).body;
  expect(JSON.stringify(view)).toContain('"discard"');
  const on = { package: ham?.id, version: ham?.version };
  for (const command of [
    { type: 'package.take', ...on, amount: null },
    { type: 'package.give', ...on, amount: null },
    { type: 'package.answer', ...on, answer: 'eat-tonight' },
  ])
    expect([command.type, (await tell(command)).status]).toEqual([command.type, 422]);
  expect((await tell({ type: 'cut.close', cut })).status).toBe(200);
  const closed = await offered();
  expect([closed.take, closed.csv]).toEqual([false, true]);
  // Whoever comes next finds the demo again.
  expect((await gone()).status).toBe(200);
  expect((await get('/api/v1/health')).status).toBe(200);
});
