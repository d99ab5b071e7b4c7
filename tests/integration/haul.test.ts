import { randomUUID } from 'node:crypto';
import { command, get, post } from '../fixtures/api';

const now = (): string => new Date().toISOString();
const today = (): string => now().slice(0, 10);

/** Closes whatever haul is open, so that the test begins its own. */
async function begin(): Promise<string> {
  const { body } = await get('/api/v1/haul');
  for (const { id, version, packages } of body.lines) {
    if (packages === null) await command({ type: 'haul.drop', line: id, version });
  }
  if (body.haul) await command({ type: 'haul.close', haul: body.haul.id });
  const haul = randomUUID();
  const told = { id: haul, name: 'Harbour shop', leftAt: now() };
  expect((await command({ type: 'haul.begin', haul: told })).status).toBe(200);
  return haul;
}

const lineOf = (
  haul: string,
  more: Record<string, unknown> = {},
): Record<string, unknown> & { id: string } => ({
  id: randomUUID(),
  haul,
  position: 0,
  food: 'trout',
  amount: 1600,
  unit: 'g',
  priceMinor: 2240,
  start: { did: 'bought', on: today() },
  parts: [{ amounts: [400, 400, 400, 400], packing: 'flat', container: null, goes: 'freezer', zone: null }],
  outSince: now(),
  ...more,
});
const tell = (line: Record<string, unknown>, version: number | null = null) =>
  command({ type: 'haul.line', line, version });
const pack = (haul: string, lines: { id: string }[], version = 1) =>
  command({ type: 'haul.pack', haul, lines: lines.map(({ id }) => ({ line: id, version })) });
const count = async (): Promise<number> => (await get('/api/v1/stock?limit=1')).body.total;

it('one haul is open at a time; a second is refused with the name of the first', async () => {
  await begin();
  const told = { id: randomUUID(), name: 'Second shop', leftAt: now() };
  const second = await command({ type: 'haul.begin', haul: told });
  expect([second.status, second.body.error.message]).toEqual([
    422,
    expect.stringContaining('Harbour shop is still open'),
  ]);
  expect((await get('/api/v1/haul')).body.haul.name).toBe('Harbour shop');
});

describe('a haul behind the door', () => {
  it('fifty lines are labelled in one transaction, or none when one of them cannot be', async () => {
    const haul = await begin();
    const before = await count();
    const lines = Array.from({ length: 50 }, (_, position) =>
      lineOf(haul, { position, called: `Trout ${position}` }),
    );
    const told = await post(
      '/api/v1/commands',
      lines.map((line) => ({ id: randomUUID(), type: 'haul.line', line, version: null })),
    );
    expect(told.status).toBe(200);
    const bad = lineOf(haul, { position: 50, food: 'lettuce' });
    await tell(bad);
    const refused = await pack(haul, [...lines, bad]);
    expect([refused.status, refused.body.error.rule]).toEqual([422, 'K5']);
    expect(await count()).toBe(before);
    const packed = await pack(haul, lines);
    expect(packed.status).toBe(200);
    expect(packed.body.answers[0].packages).toHaveLength(200);
    expect(await count()).toBe(before + 200);
    const again = await pack(haul, lines, 2);
    expect([again.status, again.body.error.message]).toEqual([422, expect.stringMatching(/packed already/)]);
    const undone = await command({ type: 'ledger.undo', command: packed.body.answers[0].id });
    expect(undone.status).toBe(200);
    expect(await count()).toBe(before);
    const { body } = await get('/api/v1/haul');
    expect(body.lines.every((line: { packages: unknown }) => line.packages === null)).toBe(true);
  });

  it('two cooks on one line: the later is told, nothing is overwritten; the draft does not fill the ledger', async () => {
    const haul = await begin();
    const line = lineOf(haul);
    expect((await tell(line)).status).toBe(200);
    expect(
      (await tell({ ...line, amount: 1500, parts: [{ ...(line.parts as object[])[0], amounts: [1500] }] }, 1))
        .status,
    ).toBe(200);
    const late = await tell({ ...line, cooking: 'grill' }, 1);
    expect([late.status, late.body.error.code]).toEqual([409, 'stale']);
    expect((await get('/api/v1/haul')).body.lines[0]).toMatchObject({
      amount: 1500,
      cooking: '',
      version: 2,
    });
    const ledger = (await get('/api/v1/ledger?limit=5')).body.entries as { type: string }[];
    expect(ledger.map(({ type }) => type)).not.toContain('haul.line');
    expect((await tell(lineOf(haul, { amount: 0 }))).status).toBe(400);
    expect((await tell(lineOf(haul, { parts: [] }))).status).toBe(400);
    expect((await tell(lineOf(randomUUID()))).body.error.message).toMatch(/no such haul/);
  });

  it('every pack has a place or a reason, and no freezer is given more in a day than it takes', async () => {
    const haul = await begin();
    await tell(
      lineOf(haul, {
        amount: 9000,
        parts: [
          { amounts: Array(15).fill(600), packing: 'flat', container: null, goes: 'freezer', zone: null },
        ],
      }),
    );
    await tell(
      lineOf(haul, {
        position: 1,
        food: 'milk',
        unit: 'ml',
        amount: 2000,
        parts: [{ amounts: [2000], packing: 'as-it-is', container: null, goes: 'fridge', zone: null }],
      }),
    );
    const { body } = await get('/api/v1/haul/places');
    const packs = body.places.reduce((sum: number, place: { packs: number }) => sum + place.packs, 0);
    expect(packs).toBe(16);
    for (const place of body.places) expect(place.zone === null).toBe(place.refused !== null);
    for (const { days, limit_g, today_g } of body.freezing) {
      for (const { day, grams } of days)
        expect(grams + (day === 1 ? today_g : 0)).toBeLessThanOrEqual(limit_g);
    }
    const later = body.places.filter((place: { day: number }) => place.day > 1);
    expect(later.length).toBeGreaterThan(0);
    expect(
      later.every((place: { reasons: string[] }) =>
        /chilled until it is frozen/.test(place.reasons[0] ?? ''),
      ),
    ).toBe(true);
  });

  it('a code is learned, answers from then on, and an undo unlearns it', async () => {
    const means = { food: 'quark', called: 'Quark', amount: 500, unit: 'g' };
    expect((await get('/api/v1/codes/2012345000032')).body.means).toBeNull();
    const { body } = await command({ type: 'code.learn', code: '2012345000032', means });
    expect((await get('/api/v1/codes/2012345000032')).body.means).toEqual(means);
    await command({ type: 'ledger.undo', command: body.answers[0].id });
    expect((await get('/api/v1/codes/2012345000032')).body.means).toBeNull();
    expect((await command({ type: 'code.learn', code: 'no way', means })).status).toBe(400);
  });
});
