import { readFileSync } from 'node:fs';
import path from 'node:path';
import { index } from '../../../tests/fixtures/reference';
import { parseQuickLine } from './parseQuickLine';
import { readHalf } from './readHalf';
import { readList, readReceipt } from './readReceipt';

describe('a pasted receipt or list', () => {
  it('gives lines as the quick line reads them, without totals, codes and bullets', () => {
    const { goods: lines } = readReceipt(`SKERRY STORES
- milk 2 l
2 x quark 500 g   3,80
0042117 eggs 14 4.20 A
* kale 900 g
[ ] leeks 6
SUBTOTAL 12.00
Card 12.00
--------`);
    expect(lines).toEqual([
      'skerry stores',
      'milk 2 l',
      'quark 2 × 500 g @ 3.80',
      'eggs 14 @ 4.20',
      'kale 900 g',
      'leeks 6',
    ]);
    const told = lines
      .slice(1)
      .map((line) => parseQuickLine(line, { foods: index, zones: [], today: '2026-11-25' }).line);
    expect(told.map((line) => [line?.food, line?.amount, line?.packs, line?.priceMinor])).toEqual([
      ['milk', 2000, 1, null],
      ['quark', 1000, 2, 380],
      ['eggs-in-shell', 14, 1, 420],
      ['kale', 900, 1, null],
      ['leeks', 6, 1, null],
    ]);
    expect(readReceipt('').goods).toEqual([]);
    expect(readReceipt('dates 200 g\ncardamom 50 g\nbag of peas 900 g\nbag 0.10').goods).toHaveLength(3);
    const list = '- dates 200 g\n* stew 14.11\n\nbag of peas 900 g\n2 x quark 500 g';
    expect(readList(list)).toEqual(['dates 200 g', 'stew 14.11', 'bag of peas 900 g', '2 x quark 500 g']);
  });

  it('half is heard anywhere in a line', () => {
    expect(readHalf('smoked haddock 1.2 kg / 2, half freeze')).toEqual({
      text: 'smoked haddock 1.2 kg / 2',
      half: true,
    });
    for (const said of [
      'half to the fridge, half to the freezer',
      'half in the freezer and the rest in the fridge',
      'half goes into the freezer, the other half in the fridge',
    ])
      expect(readHalf(`mince 1 kg, ${said}`)).toEqual({ text: 'mince 1 kg', half: true });
    expect(readHalf('sausages half and half 1 kg')).toEqual({ text: 'sausages 1 kg', half: true });
    expect(readHalf('half-fat cheese 200 g')).toEqual({ text: 'half-fat cheese 200 g', half: false });
  });
});

/** Receipts as tills print them, with the food that each line of goods is. */
const receipts = readFileSync(path.join(process.cwd(), 'tests/fixtures/receipts.txt'), 'utf8')
  .split(/^== /m)
  .slice(1)
  .map((text) => {
    const [name = '', ...rows] = text.trim().split('\n');
    const told = rows.map((row) => row.split('||').map((part) => part.trim()) as [string, string?]);
    return { name, told };
  });
const zones = [{ id: 'drawer', name: 'Drawer 1', appliance: 'Freezer', cold: 'freezer' as const }];

it('nine in ten things on fourteen receipts are read as the food they are; what is no food is never among them', () => {
  const lost: string[] = [];
  let goods = 0;
  for (const { told } of receipts) {
    const read = readReceipt(told.map(([line]) => line).join('\n'));
    const wanted = told.flatMap(([line, meant]) => (meant && meant !== '-' ? [{ line, meant }] : []));
    const found = read.goods.map((line) => ({
      line,
      food: parseQuickLine(line, { foods: index, zones, today: '2026-11-25', placedLater: true }).line?.food,
    }));
    goods += wanted.length;
    const here = found.map(({ food }) => food);
    for (const { line, meant } of wanted)
      if (here.includes(meant)) here.splice(here.indexOf(meant), 1);
      else lost.push(`${line} => ${meant}`);
    const noFood = told.filter(([, meant]) => meant === '-');
    expect(read.noFood).toHaveLength(noFood.length);
    // Whatever else was read as a food is one of those that are there.
    expect(here.filter((food) => food !== undefined)).toEqual([]);
  }
  expect(receipts.length).toBeGreaterThanOrEqual(12);
  expect(receipts.flatMap(({ told }) => told).length).toBeGreaterThanOrEqual(300);
  expect(lost.length).toBeLessThanOrEqual(goods * 0.1);
});
