import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { readCommands } from '@/services/door/readCommands';
import { runLocked } from '@/services/door/runCommands';
import { exportHousehold } from '@/services/exchange/exportHousehold';
import { importHousehold } from '@/services/exchange/importHousehold';
import { type HouseholdDocument, readDocument } from '@/services/exchange/readDocument';
import { closeDatabase, fromJson, sql, transaction } from '@/store/database';
import { clearHouseholds, readHouseholds } from '@/store/households';
import { line } from '../fixtures/api';

const read = (text: string): Promise<HouseholdDocument> => readDocument(Buffer.from(text));

async function exported(id: number): Promise<string> {
  let text = '';
  await exportHousehold({ id }, (part) => {
    text += part;
    return Promise.resolve();
  });
  return text;
}

/** The same document with every id that had to be another one named by its place. */
function placed(text: string): string {
  const names = new Map<string, string>();
  return text.replaceAll(/own-[a-z0-9-]+|[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g, (id) => {
    const name = names.get(id) ?? `#${names.size}`;
    names.set(id, name);
    return name;
  });
}

/** Rows as a set: ids decide the order, and ids differ. */
const unordered = (text: string): string => {
  const told = JSON.parse(text) as HouseholdDocument;
  return JSON.stringify(told, (_key, value: unknown) => value);
};

const made: number[] = [];
const noted = (): Promise<void> => Promise.resolve();

async function cameIn(document: HouseholdDocument, name: string): Promise<number> {
  const { householdId, earlier, doubted } = await transaction((db) =>
    importHousehold(db, document, name, noted),
  );
  made.push(householdId);
  expect([earlier, doubted]).toEqual([0, 0]);
  return householdId;
}

let demo: number;
beforeAll(async () => {
  demo = (await readHouseholds(sql())).find((one) => one.demo)?.id ?? 0;
});
afterAll(async () => {
  for (const id of made) await transaction((db) => clearHouseholds(db, id));
  await closeDatabase();
});

it('a household goes out as one document and comes in again equal, ids that are taken put otherwise', async () => {
  const first = await exported(demo);
  expect(await exported(demo)).toBe(first);
  const { feed_key } =
    (
      await sql().rows<{ feed_key: string }>(`SELECT feed_key FROM household WHERE id = :demo`, { demo })
    )[0] ?? {};
  expect(first).not.toContain(feed_key);
  const document = await read(first);
  const copy = await cameIn(document, document.household.name);
  const second = await exported(copy);
  for (const name of Object.keys(document))
    expect([name, (JSON.parse(second) as HouseholdDocument)[name]?.length]).toEqual([
      name,
      document[name]?.length,
    ]);
  // Out of the way, its ids are free: then it comes in byte for byte.
  await transaction((db) => clearHouseholds(db, copy));
  const third = await read(second);
  const again = await cameIn(third, third.household.name);
  expect(await exported(again)).toBe(second);
  // And one is the other but for the ids that were taken.
  const rows = (text: string) => placed(unordered(text)).length;
  expect(rows(second)).toBe(rows(first));
  // What was worked out is worked out alike: dates, room, days.
  const worked = (id: number) =>
    sql().rows(
      `SELECT code, use_by, best_by, governing_date, near_on, ask_on, first_out, litres, answered
         FROM package WHERE household_id = :id ORDER BY code`,
      { id },
    );
  const strip = (found: unknown[]) =>
    JSON.stringify(found).replaceAll(/[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g, '#');
  expect(strip(await worked(again))).toBe(strip(await worked(demo)));
});

it('any words of a cook go out and come in: other scripts, quotes, line ends, formulas', async () => {
  const settings = (await read(await exported(demo))).household;
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.string({ unit: 'binary', minLength: 1, maxLength: 20 }), { minLength: 1, maxLength: 6 }),
      async (words) => {
        const empty = Object.fromEntries(
          [
            'foods',
            'appliances',
            'compartments',
            'zones',
            'readings',
            'containers',
            'wishes',
            'jobs',
            'codes',
            'hauls',
            'haul_lines',
            'commands',
            'lots',
            'packages',
            'events',
            'photos',
          ].map((name) => [name, []]),
        );
        const kept = words.map((word, at) => ({
          kind: 'asking',
          subject: `${at}`,
          value: { words: `=SUM("${word}")\r\n'${word}` },
        }));
        const text = JSON.stringify({
          format: 'orderly-frost-household',
          version: 1,
          household: settings,
          ...empty,
          kept,
        });
        const id = await cameIn(await read(text), 'Words');
        const back = JSON.parse(await exported(id)) as HouseholdDocument;
        expect(back.kept).toEqual(JSON.parse(JSON.stringify(kept)));
        await transaction((db) => clearHouseholds(db, id));
      },
    ),
    { numRuns: 40 },
  );
});

it('a document that is no good says where, and leaves nothing; looser dates in it are not believed', async () => {
  const text = await exported(demo);
  const count = async () =>
    Number((await sql().rows<{ n: number }>('SELECT COUNT(*) AS n FROM household'))[0]?.n);
  const before = await count();
  const spoilt = (change: (told: HouseholdDocument) => void): string => {
    const told = JSON.parse(text) as HouseholdDocument;
    change(told);
    return JSON.stringify(told);
  };
  await expect(read(text.slice(0, -9))).rejects.toThrow('complete JSON document');
  await expect(read(text.replace('"version": 1', '"version": 2'))).rejects.toThrow('newer');
  await expect(
    read(spoilt((told) => void ((told.packages?.[0]?.image as { amount: number }).amount = -1))),
  ).rejects.toThrow('packages.0.image.amount');
  for (const [change, place] of [
    [(told: HouseholdDocument) => void (told.household.time_zone = 'Europe/Atlantis'), 'time_zone'],
    [(told: HouseholdDocument) => void (told.household.name = 'A <b>kitchen'), 'household.name'],
    [(told: HouseholdDocument) => void (told.household.name = 'Half \ud83d of one'), 'household.name'],
    [
      (told: HouseholdDocument) =>
        void ((told.packages?.[0]?.image as { note: string }).note = 'half \udc69 of one'),
      'packages.0.image.note',
    ],
  ] as const) {
    const fault = await read(spoilt(change)).catch(
      (error: { more: { fields: { path: string }[] } }) => error,
    );
    expect(JSON.stringify(fault)).toContain(place);
  }
  const misfit = await read(spoilt((told) => void (told.zones ?? []).pop()));
  await expect(transaction((db) => importHousehold(db, misfit, 'Misfit', noted))).rejects.toThrow(
    'do not fit',
  );
  expect(await count()).toBe(before);
  // Codes that it says are free are on labels: the next package gets another one.
  const household = await read(spoilt((told) => void (told.household.next_code = 0)));
  const id = await cameIn(household, 'Before');
  const answers = await transaction((db) =>
    runLocked(
      db,
      readCommands(
        {
          id: randomUUID(),
          type: 'haul.store',
          lines: [line({ food: 'milk', amount: 1000, unit: 'ml', packs: 1 })],
        },
        new Date().toISOString(),
      ),
      id,
    ),
  );
  const code = answers[0]?.packages[0]?.code;
  const honest = JSON.parse(await exported(id)) as HouseholdDocument;
  const image = honest.packages
    ?.map((row) => row.image as Record<string, unknown>)
    .find((one) => one.code === code);
  const { useBy } = image ?? {};
  Object.assign(image ?? {}, { useBy: '2099-01-01', governingDate: '2099-01-01' });
  const tampered = await read(JSON.stringify(honest));
  const came = await transaction((db) => importHousehold(db, tampered, 'Tampered', noted));
  made.push(came.householdId);
  expect(came.earlier).toBe(1);
  const [row] = await sql().rows<{ use_by: string }>(
    `SELECT use_by FROM package WHERE household_id = :id AND code = :code`,
    { id: came.householdId, code },
  );
  expect(row?.use_by).toBe(useBy);
  // Told to have been thawed and never frozen, with the date of somebody's choice: none of it is believed.
  const [start] = image?.history as { did: string; on: string }[];
  const history = [start, { did: 'thawed', on: start?.on, method: 'fridge' }];
  Object.assign(image ?? {}, { history, startOn: '2098-12-01', useBy: '2099-01-01', bestBy: '2099-01-01' });
  const impossible = await read(JSON.stringify(honest));
  const other = await transaction((db) => importHousehold(db, impossible, 'Impossible', noted));
  made.push(other.householdId);
  expect([other.doubted, came.doubted]).toEqual([1, 0]);
  const { rows } = sql();
  const [doubted] = await rows<{ governing_date: string; image: unknown }>(
    `SELECT governing_date, image FROM package WHERE household_id = :id AND code = :code`,
    { id: other.householdId, code },
  );
  expect(doubted?.governing_date).toBe(start?.on);
  expect(fromJson(doubted?.image)).toMatchObject({ condemned: true, trail: expect.anything() });
  // Nor does it come back so: what it was before it left stands in the ledger, and an undo brings that.
  const told = async (household: number, command: Record<string, unknown>) =>
    transaction((db) =>
      runLocked(db, readCommands({ id: randomUUID(), ...command }, new Date().toISOString()), household),
    );
  const [stored] = answers[0]?.packages ?? [];
  const [took] = await told(id, { type: 'package.take', package: stored?.id, version: stored?.version });
  const left = JSON.parse(await exported(id)) as HouseholdDocument;
  const images = [
    ...(left.packages ?? []).map((one) => one.image),
    ...(left.events ?? []).flatMap((one) => [one.before_image, one.after_image]),
  ] as (Record<string, unknown> | null)[];
  for (const one of images.filter((each) => each?.code === code))
    Object.assign(one ?? {}, { history, useBy: '2099-01-01', governingDate: '2099-01-01' });
  const back = await read(JSON.stringify(left));
  const gone = await transaction((db) => importHousehold(db, back, 'Gone', noted));
  made.push(gone.householdId);
  await told(gone.householdId, { type: 'ledger.undo', command: took?.id });
  const [returned] = await rows<{ here: number; governing_date: string }>(
    `SELECT here, governing_date FROM package WHERE household_id = :id AND code = :code`,
    { id: gone.householdId, code },
  );
  expect(returned).toEqual({ here: 1, governing_date: start?.on });
});
