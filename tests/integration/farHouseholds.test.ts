import { randomUUID } from 'node:crypto';
import { Refusal } from '@/core/model/refusal';
import { atInstant } from '@/services/door/clock';
import { readCommands } from '@/services/door/readCommands';
import { type CommandAnswer, runLocked } from '@/services/door/runCommands';
import { closeDatabase, sql, transaction } from '@/store/database';
import { addHousehold } from '@/store/households';
import type { DeskView } from '@/services/outage/cutDesk';
import { deskOf } from '@/ui/outage/deskOf';
import { get, post } from '../fixtures/api';

const made: number[] = [];

async function householdIn(timeZone: string): Promise<number> {
  const settings = {
    caution: 'usual',
    notifyAt: '08:00',
    leadChilled: 4,
    leadFrozen: 31,
    feedKey: '',
  } as const;
  const id = await addHousehold(sql(), { name: timeZone, timeZone, currency: 'EUR', settings });
  made.push(id);
  return id;
}

/** Runs a command as if it were told at that instant. */
async function run(household: number, at: string, body: Record<string, unknown>): Promise<CommandAnswer> {
  const commands = readCommands({ id: randomUUID(), at, ...body }, at);
  const [answer] = await atInstant(at, () => transaction((db) => runLocked(db, commands, household)));
  if (!answer) throw new Error('no answer');
  return answer;
}

const bought = (on: string) => ({
  type: 'haul.store',
  lines: [{ food: 'milk', amount: 1000, unit: 'ml', start: { did: 'bought', on } }],
});

interface Dates {
  use_by: string;
  start_on: string;
}

async function datesOf(household: number, code: string): Promise<Dates> {
  const [row] = await sql().rows<Dates>(
    `SELECT use_by, start_on FROM package WHERE household_id = :household AND code = :code`,
    { household, code },
  );
  if (!row) throw new Error('not there');
  return row;
}

afterAll(async () => {
  for (const id of made)
    for (const table of ['ledger_event', 'package', 'lot', 'command', 'day_tally', 'household'])
      await sql().run(`DELETE FROM ${table} WHERE ${table === 'household' ? 'id' : 'household_id'} = :id`, {
        id,
      });
  await closeDatabase();
});

describe('a household far from UTC', () => {
  // Half past ten in the morning, UTC: 00:30 the same day in Kiritimati, 23:30 the day before in Pago Pago.
  const instant = new Date('2026-11-25T10:30:00.000Z');
  const at = instant.toISOString();
  const day = (offset: number): string =>
    new Date(instant.getTime() + offset * 86_400_000).toISOString().slice(0, 10);

  it('east of the date line it is tomorrow already: what was bought “today” there is not refused, and dated from it', async () => {
    const house = await householdIn('Pacific/Kiritimati');
    const { packages } = await run(house, at, bought(day(1)));
    const { start_on, use_by } = await datesOf(house, packages[0]?.code ?? '');
    expect(start_on).toBe(day(1));
    const home = await householdIn('Europe/Dublin');
    const same = await run(home, at, bought(day(0)));
    const there = await datesOf(home, same.packages[0]?.code ?? '');
    const span = (dates: Dates): number => Date.parse(dates.use_by) - Date.parse(dates.start_on);
    expect(span({ start_on, use_by })).toBe(span(there));
  });

  it('west of it, it is still yesterday: what was bought “today” of UTC is still to come, and refused', async () => {
    const house = await householdIn('Pacific/Pago_Pago');
    await expect(run(house, at, bought(day(1)))).rejects.toBeInstanceOf(Refusal);
    await expect(run(house, at, bought(day(0)))).rejects.toBeInstanceOf(Refusal);
    const { packages } = await run(house, at, bought(day(-1)));
    expect((await datesOf(house, packages[0]?.code ?? '')).start_on).toBe(day(-1));
  });

  it('two minutes over midnight are another day, and minutes on the counter run on through it', async () => {
    const house = await householdIn('Pacific/Kiritimati');
    const midnight = new Date(instant.getTime() - 30 * 60_000);
    const before = new Date(midnight.getTime() - 60_000).toISOString();
    const after = new Date(midnight.getTime() + 60 * 60_000).toISOString();
    const { packages } = await run(house, before, bought(day(0)));
    const [found] = packages;
    await expect(run(house, before, bought(day(1)))).rejects.toBeInstanceOf(Refusal);
    const opened = await run(house, after, {
      type: 'package.open',
      package: found?.id,
      version: found?.version,
    });
    expect(opened.packages[0]?.version).toBe(2);
    const [row] = await sql().rows<{ image: unknown }>(
      `SELECT image FROM package WHERE household_id = :house AND code = :code`,
      { house, code: found?.code },
    );
    const image = (typeof row?.image === 'string' ? JSON.parse(row.image) : row?.image) as {
      counterSince: string;
      openedOn: string;
    };
    expect(image.openedOn).toBe(day(1));
    expect(Date.parse(after) - Date.parse(image.counterSince)).toBe(61 * 60_000);
  });
});

it('over a change of the clocks a day is a day: dates do not move, and the minutes are those that went by', async () => {
  // Both Irish changes lie more than a month off: the day is told by the household's own calendar, in the core.
  const { dateInZone } = await import('@/core/calendar/dateInZone');
  const { instantInZone } = await import('@/core/calendar/instantInZone');
  for (const [change, hours] of [
    ['2027-03-28', 23],
    ['2027-10-31', 25],
  ] as const) {
    const from = Date.parse(instantInZone(change, '00:00', 'Europe/Dublin'));
    const next = new Date(Date.parse(`${change}T00:00:00Z`) + 86_400_000).toISOString().slice(0, 10);
    const until = Date.parse(instantInZone(next, '00:00', 'Europe/Dublin'));
    expect([change, (until - from) / 3_600_000]).toEqual([change, hours]);
    for (let ms = from; ms < until; ms += 15 * 60_000)
      expect(dateInZone(new Date(ms).toISOString(), 'Europe/Dublin')).toBe(change);
    expect(dateInZone(new Date(until).toISOString(), 'Europe/Dublin')).toBe(next);
  }
});

it('after a cut there is one verdict for each package in the appliances told, and for no other', async () => {
  const { appliances } = (await get('/api/v1/today')).body as {
    appliances: {
      compartments: { id: string; cold: string }[];
      zones: { id: string; compartment_id: string }[];
    }[];
  };
  const rooms = appliances.flatMap(({ compartments }) => compartments);
  const zones = appliances.flatMap(({ zones: inside }) => inside);
  const until = new Date(Date.now() - 60_000);
  const from = new Date(until.getTime() - 9 * 3_600_000);
  for (const told of [rooms, rooms.slice(0, 1), rooms.filter(({ cold }) => cold === 'freezer')]) {
    const lying: string[] = [];
    for (const { id } of zones.filter(({ compartment_id: room }) => told.some((one) => one.id === room))) {
      const { packages } = (await get(`/api/v1/stock?zone=${id}&limit=500`)).body as {
        packages: { code: string }[];
      };
      lying.push(...packages.map(({ code }) => code));
    }
    const cut = randomUUID();
    const ids = [randomUUID(), randomUUID()];
    const parts = told.map(({ id }) => ({ id, fill: 0.5, doors: 'shut' }));
    const begun = await post('/api/v1/commands', [
      { id: ids[0], type: 'cut.begin', cut, from: from.toISOString(), parts },
      { id: ids[1], type: 'cut.time', cut, from: from.toISOString(), until: until.toISOString() },
    ]);
    expect([begun.status, begun.body]).toEqual([200, expect.anything()]);
    const view = (await get('/api/v1/outage')).body as DeskView;
    const judged = deskOf(view, view.now)?.judged ?? [];
    const codes = judged.map(({ thing }) => thing.code);
    // What came or went in the last minute may be on one side only.
    const still = new Set(
      view.things.filter(({ id }) => view.moves[id] === undefined).map(({ code }) => code),
    );
    expect(codes.filter((code) => still.has(code)).sort()).toEqual(
      lying.filter((code) => still.has(code)).sort(),
    );
    expect(new Set(codes).size).toBe(codes.length);
    expect(codes.length).toBeGreaterThan(0);
    for (const { verdict } of judged)
      expect([verdict.rule, verdict.source].every((words) => words.length > 1)).toBe(true);
    for (const command of ids.reverse())
      await post('/api/v1/commands', { id: randomUUID(), type: 'ledger.undo', command });
  }
});
