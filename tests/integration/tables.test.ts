import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { readCommands } from '@/services/door/readCommands';
import { lockedRunner, runLocked } from '@/services/door/runCommands';
import { bringThings, lookAtThings } from '@/services/exchange/bringThings';
import { exportHousehold } from '@/services/exchange/exportHousehold';
import { csvLines, exportTable } from '@/services/exchange/exportTable';
import { importHousehold } from '@/services/exchange/importHousehold';
import { readDocument } from '@/services/exchange/readDocument';
import { readTable } from '@/services/exchange/readTable';
import { type TableName, tableOf } from '@/services/exchange/tables';
import { closeDatabase, sql, transaction } from '@/store/database';
import { clearHouseholds, readHouseholds } from '@/store/households';

const NOBODY = { member: null, person: null };
const now = () => new Date().toISOString();
/** Copies of the demo, so that the demo stays as it is: what is told in one comes in in the other. */
let copy: { id: number; currency: string };
let other: typeof copy;

const out = async (name: TableName, household = copy): Promise<string> => {
  let text = '';
  await exportTable(household, name, (part) => {
    text += part;
    return Promise.resolve();
  });
  return text;
};
const tell = async (...told: { type: string; [key: string]: unknown }[]): Promise<string[]> => {
  const bodies = told.map((one) => ({ id: randomUUID(), ...one }));
  await transaction((db) =>
    runLocked(
      db,
      bodies.flatMap((one) => readCommands(one, now())),
      copy.id,
    ),
  );
  return bodies.map(({ id }) => id);
};
const undo = (ids: readonly string[], household = copy): Promise<void> =>
  transaction(async (db) => {
    const run = lockedRunner(db, household.id);
    for (const command of ids.toReversed())
      for (const read of readCommands({ id: randomUUID(), type: 'ledger.undo', command }, now()))
        await run(read);
  });
const bring = async (name: TableName, text: string, household = copy) => {
  const table = await readTable(Buffer.from(text));
  expect(tableOf(table.columns)).toBe(name);
  return transaction((db) => bringThings(db, name, table, household, NOBODY));
};
const look = async (name: TableName, text: string, household = copy) =>
  lookAtThings(name, await readTable(Buffer.from(text)), household);
const cellsOf = async (text: string) => {
  // A table in which nothing stands is nothing to bring in.
  const empty = { columns: [], rows: [] };
  const { columns, rows } = text.trim().includes('\n') ? await readTable(Buffer.from(text)) : empty;
  return { columns, rows: rows.map((row) => Object.fromEntries(columns.map((name, at) => [name, row[at]]))) };
};
const count = async (): Promise<unknown> =>
  sql().rows(
    `SELECT (SELECT COUNT(*) FROM command WHERE household_id = :id) AS commands,
            (SELECT COUNT(*) FROM ledger_event WHERE household_id = :id) AS events,
            (SELECT changes FROM household WHERE id = :id) AS changes`,
    { id: copy.id },
  );

beforeAll(async () => {
  const demo = (await readHouseholds(sql())).find((one) => one.demo);
  let text = '';
  await exportHousehold({ id: demo?.id ?? 0 }, (part) => {
    text += part;
    return Promise.resolve();
  });
  const document = await readDocument(Buffer.from(text));
  const noted = () => Promise.resolve();
  const came = async (name: string) => {
    const { householdId } = await transaction((db) => importHousehold(db, document, name, noted));
    return { id: householdId, currency: document.household.currency };
  };
  copy = await came('Tables');
  other = await came('Other tables');
});
afterAll(async () => {
  for (const { id } of [copy, other]) await transaction((db) => clearHouseholds(db, id));
  await closeDatabase();
});

/** Words that a table, a list in a cell or a spreadsheet could take for something else. */
const words = fc
  .tuple(
    fc.constantFrom(
      '=1+1',
      "'=1",
      '+49',
      '-3',
      '@SUM(A1)',
      'a; "b"',
      '"',
      "O'Tulip",
      '鯖',
      'سمك',
      '👩‍🍳',
      '1,5',
    ),
    fc.integer({ min: 0, max: 999_999 }),
  )
  .map(([sign, nth]) => `${sign} ${nth}`);
const mm = fc.integer({ min: 100, max: 400 });

it('containers, wishes, own foods and the shopping list come in from their tables as they went out', async () => {
  const household = fc.record({
    boxes: fc.array(
      fc.record({
        id: fc.uuid({ version: 4 }),
        name: words,
        outerMm: fc.tuple(mm, mm, mm),
        litres: fc.integer({ min: 1, max: 8 }).map((tenths) => tenths / 10),
        lid: fc.boolean(),
        rigid: fc.boolean(),
        count: fc.integer({ min: 1, max: 40 }),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    foods: fc.uniqueArray(
      fc.record({
        name: words,
        aliases: fc.uniqueArray(words, { maxLength: 3 }),
        copy: fc.constantFrom('trout', 'milk', 'ground-lamb'),
        days: fc.option(fc.constant(1)),
        retired: fc.boolean(),
      }),
      { minLength: 1, maxLength: 3, selector: ({ name }) => name },
    ),
    lines: fc.array(fc.record({ id: fc.uuid({ version: 4 }), called: words, ticked: fc.boolean() }), {
      minLength: 1,
      maxLength: 4,
    }),
    ahead: fc.integer({ min: 1, max: 30 }),
  });
  const names = ['foods', 'containers', 'shopping', 'wishes'] as const;
  let nth = 0;
  await fc.assert(
    fc.asyncProperty(household, async ({ boxes, foods, lines, ahead }) => {
      // No two foods are called alike.
      const called = foods.map((food) => ({
        ...food,
        name: `${food.name} f${(nth += 1)}`,
        aliases: food.aliases.map((alias, at) => `${alias} a${nth}-${at}`),
      }));
      await tell(
        ...boxes.map((box) => ({
          type: 'container.set',
          container: { ...box, innerMm: box.outerMm.map((one) => one - 4), leakproof: !box.lid },
        })),
        ...called.flatMap(({ days, retired, ...food }) => [
          { type: 'food.add', ...food, wish: { fridgeDays: days } },
          ...(retired ? [{ type: 'food.retire', food: food.name }] : []),
        ]),
        ...lines.map((line) => ({ type: 'shopping.write', line })),
        { type: 'food.wish', food: 'peas', wish: { leadDays: ahead, freezerMonths: 3 } },
      );
      const plain = async (text: string) =>
        (await cellsOf(text)).rows
          .map(({ id, ...row }) => JSON.stringify(id?.startsWith('own-') ? row : { id, ...row }))
          .sort();
      for (const name of names) {
        const text = await out(name);
        const before = await plain(await out(name, other));
        const { faults, commands } = await bring(name, text, other);
        expect([name, faults]).toEqual([name, []]);
        expect(await plain(await out(name, other))).toEqual(await plain(text));
        // Once more it is all here.
        expect(await look(name, text, other)).toMatchObject({ came: 0, faults: [] });
        if (name === 'foods') continue;
        await undo(commands, other);
        expect(await plain(await out(name, other))).toEqual(before);
        await bring(name, text, other);
      }
    }),
    { numRuns: 12 },
  );
});

it('zones and readings come in from their tables: what differs is told, the rest passed over, all of it undone', async () => {
  const before = await out('zones');
  const { columns, rows } = await cellsOf(before);
  const [first] = rows;
  const changed = rows.map((row) =>
    row === first ? { ...row, purpose: '=SUM(A1); "soups"', only: 'soup;"a;b"', person: 'Odd' } : row,
  );
  const text = csvLines([columns, ...changed.map((row) => columns.map((name) => row[name] ?? ''))]);
  const { came, same, commands, faults } = await bring('zones', text);
  expect(faults).toEqual([]);
  const mine = rows.filter(({ appliance_id: id }) => id === first?.appliance_id).length;
  expect([came, same]).toEqual([mine, rows.length - mine]);
  expect((await cellsOf(await out('zones'))).rows).toEqual(changed);
  await undo(commands);
  expect((await cellsOf(await out('zones'))).rows).toEqual(rows);

  const was = await out('readings');
  const [zone] = await sql().rows<{ id: string }>(
    `SELECT zone.id
       FROM zone
       JOIN compartment ON compartment.household_id = zone.household_id AND compartment.id = zone.compartment_id
      WHERE zone.household_id = :id
        AND compartment.cold = 'fridge'
      LIMIT 1`,
    { id: copy.id },
  );
  const ids = await tell(
    { type: 'zone.measure', zone: zone?.id, celsius: 3.5, sure: true },
    { type: 'zone.measure', zone: zone?.id, celsius: 4.2, sure: true, ago_ms: 3_600_000 },
  );
  const measured = await out('readings');
  await undo(ids);
  expect(await out('readings')).toBe(was);
  // As a spreadsheet of another country saves it: semicolons, a comma in a number, other columns first.
  const table = await cellsOf(measured);
  const order = table.columns.toReversed();
  const saved = [
    order,
    ...table.rows.map((row) =>
      order.map((name) => (row[name] ?? '').replace('.', name === 'celsius' ? ',' : '.')),
    ),
  ]
    .map((cells) => cells.join(';'))
    .join('\n');
  expect(await bring('readings', saved)).toMatchObject({ came: 2, faults: [] });
  expect(await out('readings')).toBe(measured);
});

it('a row that is wrong is told with its row and leaves nothing; a look leaves nothing at all; a record does not come in', async () => {
  const before = await count();
  const text = await out('containers');
  const { columns, rows } = await cellsOf(text);
  const box = { ...rows[0], id: randomUUID(), name: 'Glass box' };
  const bad = [
    { ...box, id: 'no id' },
    { ...box, id: randomUUID(), outer_long_mm: 'long' },
    { ...box, id: randomUUID(), lid: 'perhaps' },
    { ...box, id: randomUUID(), name: '<b>' },
    box,
    rows[0] ?? {},
  ] as Record<string, string>[];
  const file = csvLines([columns, ...bad.map((row) => columns.map((name) => row[name] ?? ''))]);
  const seen = await look('containers', file);
  expect([seen.came, seen.same, seen.faults.map(({ row }) => row)]).toEqual([1, 1, [2, 3, 4, 5]]);
  expect(seen.faults[0]?.says).toContain('leave it empty for something new');
  expect(seen.faults[1]?.says).toBe('“long” is no number for outer long mm.');
  expect(await count()).toEqual(before);
  // A looser figure than the published one, a food that is none, a zone that is not here.
  const looser = await cellsOf(await out('foods'));
  const own = {
    ...Object.fromEntries(looser.columns.map((name) => [name, ''])),
    name: 'Harbour mince',
    after: 'ground-lamb',
    retired: 'no',
  };
  const foods = csvLines([
    looser.columns,
    ...[
      { ...own, fridge_days: '30' },
      { ...own, after: 'no such food' },
      { ...own, fridge_days: '1' },
    ].map((row: Record<string, string>) => looser.columns.map((name) => row[name] ?? '')),
  ]);
  const { faults, came } = await look('foods', foods);
  expect([came, faults.map(({ row }) => row)]).toEqual([1, [2, 3]]);
  expect(faults[0]?.says).toContain('safety figure');
  const reading = csvLines([
    ['zone_id', 'zone', 'appliance', 'at', 'celsius'],
    [randomUUID(), 'Attic', 'Nowhere', now(), '4'],
  ]);
  expect((await look('readings', reading)).faults[0]?.says).toContain('no zone “Attic”');
  await expect(look('ledger', await out('ledger'))).rejects.toThrow('whole household');
  expect(await count()).toEqual(before);
});
