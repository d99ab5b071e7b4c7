import { randomUUID } from 'node:crypto';
import { command, get, line, post } from '../fixtures/api';
import { withClockedServer } from '../fixtures/clockedServer';
import { withServer } from '../fixtures/throwawayServer';

it('keeps every event in order when the clock of the machine is set back, and notes it in the ledger', async () => {
  const far = new Date(Date.now() + 40 * 86_400_000);
  await withClockedServer('clock', far.toISOString(), async (base, set) => {
    const day = far.toISOString().slice(0, 10);
    const milk = line({
      food: 'milk',
      amount: 1000,
      unit: 'ml',
      packs: 1,
      start: { did: 'bought', on: day },
    });
    const stored = await command({ type: 'haul.store', lines: [milk] }, base);
    const { id, code } = stored.body.answers[0].packages[0];
    set(new Date(far.getTime() - 5 * 3_600_000 - 86_400_000).toISOString());
    const opened = await command({ type: 'package.open', package: id, version: 1 }, base);
    expect(opened.status).toBe(200);
    const taken = await command({ type: 'package.take', package: id, version: 2, amount: 200 }, base);
    expect(taken.status).toBe(200);
    const { entries } = (await get('/api/v1/ledger?limit=3', base)).body;
    expect(entries.map(({ id: entry }: { id: string }) => entry)).toEqual([
      taken.body.answers[0].id,
      opened.body.answers[0].id,
      stored.body.answers[0].id,
    ]);
    expect(entries[1].note).toMatch(/went back 29 hours/);
    expect(entries[2].note).toBe('');
    expect((await get(`/api/v1/packages/${code}`, base)).body).toMatchObject({ opened: true, amount: 800 });
  });
});

it('another household’s clock goes on while the demo is reset: commands are accepted and recorded now', async () => {
  await withServer('demo-clock', async (base) => {
    const saltmarsh = { name: 'Saltmarsh', time_zone: 'UTC', currency: 'GBP' };
    const { id } = (await post('/api/v1/households/add', saltmarsh, base)).body as { id: number };
    const here = { 'x-orderly-frost-household': String(id) };
    const begun = Date.now();
    let over = false;
    const resets = (async () => {
      for (let nth = 0; nth < 3; nth++)
        expect((await post('/api/v1/households/demo', {}, base)).status).toBe(200);
    })().finally(() => (over = true));
    let stored = 0;
    for (; !over; stored++) {
      const milk = line({ food: 'milk', amount: 1000, unit: 'ml', packs: 1 });
      const body = { id: randomUUID(), type: 'haul.store', lines: [milk] };
      expect(await post('/api/v1/commands', body, base, here)).toMatchObject({ status: 200 });
    }
    await resets;
    expect(stored).toBeGreaterThan(3);
    const answer = await fetch(`${base}/api/v1/ledger?limit=200`, { headers: here });
    const { entries } = (await answer.json()) as { entries: { at: string; note: string }[] };
    expect(entries).toHaveLength(Math.min(stored, 200));
    for (const { at, note } of entries) {
      expect(Date.parse(at)).toBeGreaterThanOrEqual(begun);
      expect(note).toBe('');
    }
  });
});
