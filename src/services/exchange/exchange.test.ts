import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import writeExcel from 'write-excel-file/node';
import { fromWords } from './cells';
import { mapColumns } from './mapColumns';
import { tableCells } from '@/workers/tableCells';
import { tableOfCells } from './readTable';
import { csvLines } from './exportTable';

const cell = fc.oneof(
  fc.string({ unit: 'binary', maxLength: 30 }),
  fc.constantFrom(
    '=1+1',
    "'=1",
    '+49',
    '-3',
    '-3.5',
    '@SUM(A1)',
    '\t=2',
    '\r\n',
    '"',
    'a,b;c',
    "'",
    '鯖',
    'سمك',
    '👩‍🍳',
    ' = ',
  ),
);

it('every cell comes out of a table as it went in, and none of them is run by a spreadsheet', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 8 }), (rows) => {
      const text = csvLines(rows);
      const read = parse(text, { skipEmptyLines: false }) as string[][];
      for (const one of read.flat()) expect(/^[=+@\t\r]|^-(?!\d+(\.\d+)?$)/.test(one)).toBe(false);
      expect(read.map((row) => row.map(fromWords))).toEqual(rows);
    }),
    { numRuns: 500 },
  );
});

const readTable = async (bytes: Buffer) => tableOfCells(await tableCells(bytes));

it('tables are read however they were saved: comma, semicolon, tab, a title above, a spreadsheet’s own file', async () => {
  const rows = [
    ['Item', 'How many', 'Date frozen'],
    ['Peas; the "good" ones', '2', '2026-09-12'],
    ['Chowder, fish', '1.2 l', ''],
  ];
  const csv = (sign: string) =>
    rows.map((row) => row.map((one) => `"${one.replaceAll('"', '""')}"`).join(sign)).join('\r\n');
  for (const text of [csv(','), csv(';'), csv('\t'), `\ufeff${csv(';')}`, `Our freezer\n\n${csv(';')}\n\n`]) {
    const table = await readTable(Buffer.from(text));
    expect([table.columns, ...table.rows]).toEqual(rows);
  }
  expect((await readTable(Buffer.from(`Our freezer\n\n${csv(',')}`))).numbers).toEqual([4, 5]);
  const sheet = await writeExcel(rows.map((row) => row.map((value) => ({ value })))).toBuffer();
  const table = await readTable(sheet);
  expect([table.columns, ...table.rows]).toEqual(rows);
  await expect(readTable(Buffer.from('PK\u0003\u0004 no zip'))).rejects.toThrow('CSV or XLSX');
  await expect(readTable(Buffer.from('Item'))).rejects.toThrow('no rows below');
});

it('columns are known by what people call them, each meaning once', () => {
  expect(mapColumns(['ITEM', 'Qty.', 'Freezer', 'Drawer', 'Frozen on', 'Use-by', 'Item', 'Mood'])).toEqual([
    'name',
    'amount',
    'appliance',
    'zone',
    'frozen_on',
    'printed_date',
    null,
    null,
  ]);
});
