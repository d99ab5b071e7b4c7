import { index } from '../../../tests/fixtures/reference';
import { parseQuickLine } from './parseQuickLine';
import { readHalf } from './readHalf';
import { readList, readReceipt } from './readReceipt';

describe('a pasted receipt or list', () => {
  it('gives lines as the quick line reads them, without totals, codes and bullets', () => {
    const lines = readReceipt(`SKERRY STORES
- milk 2 l
2 x quark 500 g   3,80
0042117 eggs 14 4.20 A
* kale 900 g
[ ] leeks 6
SUBTOTAL 12.00
Card 12.00
--------`);
    expect(lines).toEqual([
      'SKERRY STORES',
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
    expect(readReceipt('')).toEqual([]);
    expect(readReceipt('dates 200 g\ncardamom 50 g\nbag of peas 900 g\nbag 0.10')).toHaveLength(3);
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
