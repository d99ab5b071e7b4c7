import { parse } from 'csv-parse/sync';
import fc from 'fast-check';
import writeExcel from 'write-excel-file/node';
import { fromWords } from './cells';
import { index } from '../../../tests/fixtures/reference';
import { TYPED_ON, TYPED_ZONES } from '../../../tests/fixtures/typedLines';
import { rowLine, toldIn } from './rowLine';
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

it('of a messy list of thirty rows nine in ten come in, each with its date', () => {
  const names = ['what it is', 'How many', 'Lives in', 'put in', 'Eat before', 'Remarks'];
  const rows = MESSY.trim()
    .split('\n')
    .map((row) => row.split('|').map((cell) => cell.trim()));
  const mapping = mapColumns(names, rows);
  expect(mapping).toEqual(['name', 'packs', 'zone', 'start', 'printed_date', 'note']);
  const vocabulary = { foods: index, zones: TYPED_ZONES, today: TYPED_ON };
  const read = rows.map((cells) => rowLine(toldIn(cells, mapping), vocabulary));
  const came = read.flatMap(({ line }, at) => (line ? [{ line, cells: rows[at] ?? [] }] : []));
  expect(rows).toHaveLength(30);
  expect(came.length).toBeGreaterThanOrEqual(27);
  for (const { line, cells } of came) {
    const [name, , place, put, eat] = cells;
    if (put) expect([name, line.start.on < TYPED_ON]).toEqual([name, true]);
    if (eat) expect([name, line.printed !== null]).toEqual([name, true]);
    if (place) expect([name, line.zone !== null]).toEqual([name, true]);
    const frozen = TYPED_ZONES.find(({ id }) => id === line.zone)?.cold === 'freezer';
    if (frozen && put) expect([name, line.frozenOn ?? line.start.on]).toEqual([name, line.start.on]);
  }
  // The columns say nothing: their cells do.
  expect(
    mapColumns(
      ['a', 'b', 'c', 'd'],
      rows.map(([name = '', many = '', place = '', put = '']) => [name, many, place, put]),
    ),
  ).toEqual(['name', 'packs', 'zone', 'start']);
});

const MESSY = `
Mince 500g | 2 | chest, middle | 3 Oct | | from the market
Chicken thighs | 1 | Layer 1 | 12.9. | |
Peas | 3 bags | Drawer 1 | | |
Vegetable soup 600 ml | 4 | layer 2 | last summer | |
Puff pastry | 1 roll | Drawer 1 | 1 Nov | |
Butter 250 g | 2 | door 1 | | 14 Dec |
Milk 2 l | 1 | Door 2 | | 4/12 | semi
Cheddar 400g | 1 | bottom shelf | 20 Nov | |
Lasagne | 2 | Layer 1 | Sept | | for guests
Salmon fillets | 4 | Layer 2 | 2026-10-02 | |
Bread, sliced | 1 | Drawer 1 | 15 Nov | |
Strawberries 1 kg | 1 | chest, bottom | july | |
Stew | 3 tubs | Layer 2 | 28/10/2026 | |
Eggs | 12 | Door 1 | | 3 Dec |
Yogurt | 6 | bottom shelf | | 30 Nov |
Cooked ham | 1 | bottom shelf | 23 Nov | |
Leeks | 5 | leaf drawer | 22 Nov | |
Kale 300g | 1 | Leaf drawer | 23.11. | |
Trout 1.2 kg | 2 | chest, top | 8 Nov | |
Sausages raw | 8 | Layer 1 | 10 Nov | |
Rhubarb 2 kg | 4 | Layer 2 | May | |
Chicken stock 1 l | 3 | Layer 1 | 1 Nov | |
Pesto | 1 jar | Door 1 | | |
Lamb mince 500 g | 1 | Layer 1 | early October | |
Ice cream 1 l | 1 | Drawer 1 | | |
Hummus | 1 | bottom shelf | | 29 Nov |
Raspberries 250 g | 2 | Layer 2 | 20 July | |
Venison 600 g | 2 | Layer 1 | xmas | |
Carrots 1 kg | 1 | leaf drawer | | |
Mystery box | 1 | Layer 2 | | | who knows
`;
