import ICAL from 'ical.js';
import { type Connection, createConnection } from 'mysql2/promise';
import { closeDatabase, type Sql, sql } from '@/store/database';
import { readTold } from '@/store/feed';
import { readJobs } from '@/store/jobs';
import { readOnCounter } from '@/store/packages';
import {
  countOutside,
  countToday,
  readAnswered,
  readAsking,
  readDrawn,
  readFills,
  readThawing,
} from '@/store/today';
import { BASE, command, get, line, post } from '../fixtures/api';
import { crowd, disperse } from '../fixtures/crowd';
import { readPages } from '../fixtures/readPages';

const today = new Date().toISOString().slice(0, 10);
const inDays = (days: number): string =>
  new Date(Date.parse(today) + days * 86_400_000).toISOString().slice(0, 10);

let db: Connection;
beforeAll(async () => {
  db = await createConnection({ uri: process.env.DATABASE_URL ?? '', dateStrings: true });
});
afterAll(async () => {
  await db.end();
  await closeDatabase();
});

async function feedAddress(): Promise<string> {
  const [rows] = await db.query('SELECT feed_key AS feedKey FROM household ORDER BY id LIMIT 1');
  const [{ feedKey }] = rows as [{ feedKey: string }];
  expect(feedKey).toMatch(/^[\w-]{43}$/);
  return `${BASE}/calendar.ics?key=${feedKey}`;
}

interface Entry {
  uid: string;
  day: string;
  sequence: number;
  status: string;
  says: string;
}

async function readFeed(address: string): Promise<Map<string, Entry>> {
  const response = await fetch(address);
  expect(response.headers.get('content-type')).toContain('text/calendar');
  const calendar = new ICAL.Component(ICAL.parse(await response.text()) as unknown[]);
  expect(calendar.getFirstPropertyValue('version')).toBe('2.0');
  const entries = calendar.getAllSubcomponents('vevent').map((component): Entry => {
    const event = new ICAL.Event(component);
    return {
      uid: event.uid,
      day: event.startDate.toJSDate().toISOString().slice(0, 10),
      sequence: event.sequence,
      status: String(component.getFirstPropertyValue('status')),
      says: `${event.summary}\n${event.description}`,
    };
  });
  expect(new Set(entries.map(({ uid }) => uid)).size).toBe(entries.length);
  expect(new Set(entries.map(({ day }) => day)).size).toBe(entries.length);
  return new Map(entries.map((entry) => [entry.day, entry]));
}

async function storeOne(more: Record<string, unknown>) {
  const { body } = await command({ type: 'haul.store', lines: [line({ packs: 1, amount: 400, ...more })] });
  return body.answers[0].packages[0] as { id: string; code: string; version: number };
}

describe('the calendar feed', () => {
  it('has one entry a day with an identity that stays; changes count up, what falls away is cancelled', async () => {
    const address = await feedAddress();
    const before = await readFeed(address);
    expect(before.size).toBeGreaterThan(3);
    expect(await readFeed(address)).toEqual(before);

    // A far day of its own: opened jam keeps 180 days, so a wish of 47 puts its date on a day with nothing else.
    const stored = await storeOne({ food: 'jam', called: 'Rowan jelly', zone: null });
    await command({ type: 'food.wish', food: 'jam', wish: { openedDays: 47 } });
    const { version: redated } = (await get(`/api/v1/packages/${stored.code}`)).body;
    const opened = await command({ type: 'package.open', package: stored.id, version: redated });
    expect(opened.status).toBe(200);
    const with_ = await readFeed(address);
    const day = with_.get(inDays(47));
    expect(day?.says).toContain('Rowan jelly 400 g');
    expect(day?.says).toContain(stored.code);

    const { version } = opened.body.answers[0].packages[0];
    await command({ type: 'package.take', package: stored.id, version });
    const after = await readFeed(address);
    const same = after.get(inDays(47));
    expect(same?.uid).toBe(day?.uid);
    expect(same?.sequence).toBe((day?.sequence ?? 0) + 1);
    expect(same?.says).not.toContain('Rowan jelly');
    for (const [on, entry] of before) expect(after.get(on)?.uid).toBe(entry.uid);
    if (!before.has(inDays(47))) expect(same?.status).toBe('CANCELLED');
    await command({ type: 'food.wish', food: 'jam', wish: {} });
  });

  it('is shut to everybody who does not know its address, and a new address shuts the old one', async () => {
    const address = await feedAddress();
    for (const wrong of [`${BASE}/calendar.ics`, `${address}x`, `${BASE}/calendar.ics?key=`]) {
      expect((await fetch(wrong)).status).toBe(404);
    }
    expect((await command({ type: 'household.set', renew_feed: true })).status).toBe(200);
    const renewed = await feedAddress();
    expect(renewed).not.toBe(address);
    expect([(await fetch(address)).status, (await fetch(renewed)).status]).toEqual([404, 200]);
    expect(JSON.stringify((await get('/api/v1/ledger')).body)).not.toContain(renewed.split('key=')[1]);
  });
});

describe('the morning slip', () => {
  it('prints what asks today with place and code, and the jobs', async () => {
    const { body } = await get('/api/v1/today');
    const response = await fetch(`${BASE}/api/v1/slip`);
    expect(response.headers.get('content-type')).toBe('application/pdf');
    const pages = await readPages(response);
    expect(pages[0]).toMatchObject({ widthMm: expect.closeTo(148, 0), heightMm: expect.closeTo(210, 0) });
    const text = pages.map((page) => page.text).join(' ');
    for (const { view, group_words } of body.first_out.slice(0, 12)) {
      expect(text).toContain(`${view.food.name} ${group_words}`);
      expect(text).toContain(view.code);
    }
    for (const job of body.jobs) expect(text).toContain(job.says.slice(0, 20));
    expect(text).toContain('When in doubt, throw it out');
  });
});

describe('taking an amount', () => {
  it('takes first out over frozen, opened, whole, splittable and unsplittable packages', async () => {
    const zones = (await get('/api/v1/zones')).body.zones as { id: string; name: string }[];
    const zone = (name: string) => zones.find((one) => one.name === name)?.id;
    const name = `Take test ${Date.now()}`;
    expect((await command({ type: 'food.add', copy: 'venison', name })).status).toBe(200);
    const shelf = zone('Lower shelf');
    const bought = (days: number) => ({ did: 'bought', on: inDays(-days) });
    const block = await storeOne({ food: name, amount: 300, start: bought(2), zone: shelf, form: 'block' });
    const loose = await storeOne({ food: name, amount: 700, start: bought(1), zone: shelf, form: 'loose' });
    const whole = await storeOne({ food: name, amount: 500, start: bought(0), zone: shelf });
    const frozen = await storeOne({
      food: name,
      amount: 600,
      start: bought(3),
      frozen_on: today,
      zone: zone('Layer 1'),
      form: 'flat',
    });
    const ask = async (amount: number, by: string | null = null) =>
      (await post('/api/v1/estimates/allocation', { foods: [name], amount, unit: 'g', by })).body;
    const some = await ask(500);
    expect(
      some.takes.map((take: { view: { code: string }; amount: number }) => [take.view.code, take.amount]),
    ).toEqual([
      [block.code, 300],
      [loose.code, 200],
    ]);
    const all = await ask(2100, new Date(Date.now() + 3_600_000).toISOString());
    expect([all.short, all.passed[0].code]).toEqual([600, frozen.code]);
    expect(all.passed[0].why).toMatch(/12 hours to thaw/);

    const answer = await command({ type: 'stock.take', foods: [name], amount: 1100, unit: 'g', by: null });
    expect(answer.body.answers[0].packages.map(({ code }: { code: string }) => code)).toEqual([
      block.code,
      loose.code,
      whole.code,
    ]);
    expect((await get(`/api/v1/packages/${whole.code}`)).body.gone.how).toBe('taken');
    const short = await command({ type: 'stock.take', foods: [name], amount: 900, unit: 'g', by: null });
    expect([short.status, short.body.error.rule]).toEqual([422, 'amount']);
    await command({ type: 'ledger.undo', command: answer.body.answers[0].id });
    expect((await get(`/api/v1/packages/${loose.code}`)).body).toMatchObject({ gone: null, amount: 700 });
  });
});

describe('wishes, own foods, leads', () => {
  it('a wish that loosens safety is refused; one that shortens dates the packages anew', async () => {
    const { code } = await storeOne({ food: 'quark' });
    const before = (await get(`/api/v1/packages/${code}`)).body;
    const loose = await command({ type: 'food.wish', food: 'quark', wish: { fridgeDays: 99 } });
    expect([loose.status, loose.body.error.rule]).toEqual([422, 'wish']);
    expect(loose.body.error.message).toMatch(/never longer/);
    expect((await command({ type: 'food.wish', food: 'quark', wish: { fridgeDays: -1 } })).status).toBe(400);
    await command({ type: 'food.wish', food: 'quark', wish: { fridgeDays: 3 } });
    expect((await get(`/api/v1/packages/${code}`)).body.use_by).toBe(inDays(3));
    expect((await get('/api/v1/foods/quark')).body.wish.fridgeDays).toBe(3);
    await command({ type: 'food.wish', food: 'quark', wish: {} });
    expect((await get(`/api/v1/packages/${code}`)).body.use_by).toBe(before.use_by);
  });

  it('a food taken off the list while packages are of it: they keep their dates, the name is free', async () => {
    const name = `Glen test ${Date.now()}`;
    await command({ type: 'food.add', copy: 'venison', name });
    const { code } = await storeOne({ food: name });
    const before = (await get(`/api/v1/packages/${code}`)).body;
    const gone = await command({ type: 'food.retire', food: name });
    expect(gone.body.answers[0].says).toContain('1 package of it keep');
    expect((await get(`/api/v1/packages/${code}`)).body.governing).toEqual(before.governing);
    expect((await command({ type: 'haul.store', lines: [line({ food: name })] })).status).toBe(422);
    expect((await command({ type: 'food.retire', food: 'venison' })).status).toBe(422);
  });

  it('lead days of a food bring its packages to Today sooner', async () => {
    const asking = async (code: string) => {
      const [rows] = await db.query('SELECT ask_on AS askOn FROM package WHERE code = ?', [code]);
      return (rows as { askOn: string }[])[0]?.askOn;
    };
    const { code } = await storeOne({ food: 'hard-cheese' });
    const { governing } = (await get(`/api/v1/packages/${code}`)).body;
    const ahead = (days: number) =>
      new Date(Date.parse(governing.date) - days * 86_400_000).toISOString().slice(0, 10);
    expect(await asking(code)).toBe(ahead(1));
    await command({ type: 'food.wish', food: 'hard-cheese', wish: { leadDays: 20 } });
    expect(await asking(code)).toBe(ahead(20));
    await command({ type: 'food.wish', food: 'hard-cheese', wish: {} });
    await command({ type: 'household.set', changes: { leadChilled: 9 } });
    expect(await asking(code)).toBe(ahead(9));
    await command({ type: 'household.set', changes: { leadChilled: 4 } });
  });
});

describe('answers through the door', () => {
  it('takes an answer off the asking list, tells its date, and counts nothing as passed', async () => {
    const { id, code } = await storeOne({ food: 'ground-beef' });
    const passed = (await get('/api/v1/today')).body.passed_unanswered;
    const answer = await command({
      type: 'package.answer',
      package: id,
      version: 1,
      answer: 'plan',
      on: inDays(1),
    });
    expect(answer.status).toBe(200);
    const view = (await get('/api/v1/today')).body;
    const codesOf = (rows: { packages: { code: string }[] }[]) =>
      rows.flatMap((row) => row.packages.map((one) => one.code));
    expect(codesOf([...view.answered, ...view.to_eat])).toContain(code);
    expect(codesOf(view.first_out)).not.toContain(code);
    expect(view.passed_unanswered).toBe(passed);
    const look = await command({ type: 'package.answer', package: id, version: 2, answer: 'looked-fine' });
    expect([look.status, look.body.error.rule]).toEqual([422, 'K2']);
  });

  it('answers what if with the dates the real events would give', async () => {
    const { id, code } = await storeOne({ food: 'ground-beef' });
    const { choices } = (await get(`/api/v1/packages/${code}/what-if`)).body;
    const freeze = choices.find(({ key }: { key: string }) => key === `freeze-${today}`);
    const zones = (await get('/api/v1/zones')).body.zones as { id: string; name: string }[];
    await command({
      type: 'package.freeze',
      package: id,
      version: 1,
      zone: zones.find(({ name }) => name === 'Drawer 1')?.id,
    });
    expect((await get(`/api/v1/packages/${code}`)).body.governing.date).toBe(freeze.date);
    expect(choices.at(-1)).toMatchObject({ choice: 'cook', refused: null });
  });
});

describe('with many packages', () => {
  it('Today reads by index: no query goes over the whole table', async () => {
    const [[{ id: householdId }]] = (await db.query(
      'SELECT id FROM household ORDER BY id LIMIT 1',
    )) as unknown as [[{ id: number }]];
    await crowd(db, householdId, 4000);
    try {
      const plans: { statement: string; table: string; type: string; key: string | null }[] = [];
      const told: Sql = {
        run: (statement, values) => sql().run(statement, values),
        rows: async <Row>(statement: string, values?: Record<string, unknown>) => {
          const steps = await sql().rows<{ table: string; type: string; key: string | null }>(
            `EXPLAIN ${statement}`,
            values,
          );
          plans.push(...steps.map((step) => ({ ...step, statement })));
          return sql().rows<Row>(statement, values);
        },
      };
      const zones = await sql().rows<{ id: string }>('SELECT id FROM zone');
      const scope = { today, zoneIds: null };
      await readAsking(told, householdId, { ...scope, after: null, limit: 31 });
      await readAnswered(told, householdId, { ...scope, limit: 60 });
      await countToday(told, householdId, { ...scope, soonUntil: inDays(3), since: inDays(-365) });
      await readThawing(told, householdId, 20);
      await readDrawn(
        told,
        householdId,
        zones.map(({ id }) => id),
        16,
      );
      await readFills(told, householdId);
      await countOutside(told, householdId);
      await readOnCounter(told, householdId);
      await readJobs(told, householdId);
      await readTold(told, householdId, today, 400);
      const growing = ['package', 'day_tally', 'zone_fill', 'passing', 'job'];
      const steps = plans.filter(({ table }) => growing.includes(table));
      expect(new Set(steps.map(({ table }) => table))).toEqual(new Set(growing));
      expect(steps.length).toBeGreaterThan(20);
      for (const { type, key, statement } of steps) {
        expect({ statement, type, key }).not.toMatchObject({ type: 'ALL' });
        expect({ statement, type, key }).not.toMatchObject({ key: null });
      }
      const { body } = await get('/api/v1/today');
      expect(body.total).toBe(4000);
      expect(body.first_out.flatMap(({ packages }: { packages: unknown[] }) => packages)).toHaveLength(24);
      const second = (await get(`/api/v1/first-out?after=${encodeURIComponent(body.next)}`)).body;
      expect(second.rows[0].view.governing.date >= body.first_out.at(-1).view.governing.date).toBe(true);
    } finally {
      await disperse(db, householdId);
    }
  });
});
