import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import writeExcel from 'write-excel-file/node';
import { get } from '../fixtures/api';
import type { ApiPage } from '../fixtures/hostile';
import { lookingAtToday, usualToday, workOf } from '../fixtures/meanwhile';
import { withServer } from '../fixtures/throwawayServer';
import { worstRequests } from '../fixtures/worstCase';

const TABLE = [
  ['Item', 'How much'],
  ['Peas', '500 g'],
];

/** A spreadsheet of two rows whose sheet is changed afterwards. */
async function sheetWith(change: (xml: string) => string): Promise<Buffer> {
  const made = await writeExcel(TABLE.map((row) => row.map((value) => ({ value })))).toBuffer();
  const files = unzipSync(new Uint8Array(made));
  const name = Object.keys(files).find((one) => /worksheets\/sheet1\.xml$/.test(one)) ?? '';
  files[name] = strToU8(change(strFromU8(files[name] ?? new Uint8Array())));
  return Buffer.from(zipSync(files));
}

const withCell = (cell: string) => (xml: string) =>
  xml.replace('</sheetData>', `<row r="1048576">${cell}</row></sheetData>`);
const far = '<c r="XFD1048576" t="inlineStr"><is><t>x</t></is></c>';

/** Files that once ended the server or held it for many seconds, and how each is answered. */
const FILES: [name: string, bytes: () => Promise<Buffer> | Buffer, status: number][] = [
  ['one cell in the farthest corner', () => sheetWith(withCell(far)), 413],
  [
    'unpacks to 60 MB',
    () => sheetWith((xml) => xml.replace('</sheetData>', `${' '.repeat(60_000_000)}</sheetData>`)),
    413,
  ],
  [
    'a cell of 20,000 characters',
    () => Buffer.from(`Item,How much\n${'free range '.repeat(1800)},1 kg\n`),
    200,
  ],
  ['a row without end', () => Buffer.from(`Item,How much\n"${'x'.repeat(3_000_000)}`), 400],
  ['55 MB of rows', () => Buffer.from('Item,How much\n' + 'Peas,500 g\n'.repeat(5_000_000)), 413],
  ['30,000 rows', () => Buffer.from('Item,How much\n' + 'Peas,500 g\n'.repeat(30_000)), 413],
  ['ten million brackets', () => Buffer.from('['.repeat(10_000_000)), 400],
  ['ten million open objects', () => Buffer.from('{"a":'.repeat(2_000_000)), 400],
];

it('no file and no body that a schema allows holds up anybody else', async () => {
  await withServer(
    'held-up',
    async (base, _databaseUrl, pid) => {
      const work = workOf(pid);
      // Half a second more for what is compiled on the way; what once held the server did so for five to ninety.
      const most = 3 * (await usualToday(base, work)) + 500;
      const look = async (bytes: Buffer) => {
        const response = await fetch(`${base}/api/v1/exchange/look?name=list`, {
          method: 'POST',
          headers: { 'content-type': 'application/octet-stream' },
          body: new Uint8Array(bytes),
        });
        return { status: response.status, body: (await response.json()) as Record<string, unknown> };
      };
      // The first one waits for a worker.
      await look(Buffer.from('Item,How much\nPeas,500 g\n'));
      for (const [name, bytes, status] of FILES) {
        const file = await bytes();
        const { answer, today } = await lookingAtToday(base, () => look(file), work);
        expect([name, answer.status, today < most]).toEqual([name, status, true]);
        if (name.includes('20,000'))
          expect(answer.body.faults).toEqual([
            { row: 2, says: expect.stringMatching(/characters; 500 can be read/) },
          ]);
      }
      // A border drawn to the last column makes a list no larger than it is.
      const bordered = await sheetWith(withCell('<c r="XFD1048576" s="1"/>'));
      expect(await look(bordered)).toMatchObject({ status: 200, body: { rows: 1, packages: 1 } });

      const page = (await get('/api/v1/openapi.json', base)).body as ApiPage;
      const { foods } = (await get('/api/v1/vocabulary', base)).body as { foods: { id: string }[] };
      const { packages } = (await get('/api/v1/stock?limit=20', base)).body as {
        packages: { code: string }[];
      };
      const known = { foods: foods.map(({ id }) => id), ids: packages.map(({ code }) => code) };
      for (const { method, address, headers, body } of worstRequests(page, known)) {
        const { answer, today } = await lookingAtToday(
          base,
          () =>
            fetch(`${base}${address}`, { method, headers, body: body ?? null }).then(async (response) => {
              await response.arrayBuffer();
              return response.status;
            }),
          work,
        );
        const what = `${method} ${address.slice(0, 80)} ${(body ?? '').length}`;
        expect([what, answer < 500, today < most]).toEqual([what, true, true]);
      }
    },
    { env: { ORDERLY_FROST_QUERY_MS: '6000' } },
  );
});
