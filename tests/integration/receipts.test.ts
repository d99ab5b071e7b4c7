import { readReceiptPhoto } from '@/services/photo/readReceiptPhoto';
import { photographed } from '../fixtures/photographed';
import { index } from '../fixtures/reference';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import { readReceipt } from '@/core/quickline/readReceipt';

it('a photographed receipt becomes lines for the bench, without a network', async () => {
  const wanted = [
    'Milk 2 l          2.10',
    'Kale 900 g        1.80',
    'Eggs 12           3.60',
    'Butter 250 g      2.95',
  ];
  const { text } = await readReceiptPhoto(
    photographed(['SKERRY STORES', ...wanted, 'TOTAL            10.45'], 0.012),
  );
  const told = readReceipt(text).goods.map(
    (line) => parseQuickLine(line, { foods: index, zones: [], today: '2026-11-25' }).line,
  );
  const found = told.flatMap((line) => (line ? [[line.food, line.amount, line.priceMinor]] : []));
  expect(found).toEqual([
    ['milk', 2000, 210],
    ['kale', 900, 180],
    ['eggs-in-shell', 12, 360],
    ['butter', 250, 295],
  ]);
});

it('what is no picture, or has no words on it, is refused in words', async () => {
  await expect(readReceiptPhoto(Buffer.from('no picture'))).rejects.toThrow('isn’t a picture');
  await expect(readReceiptPhoto(photographed([], 0))).rejects.toThrow('No words');
});
