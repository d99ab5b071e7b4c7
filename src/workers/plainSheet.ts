import { strFromU8, strToU8, unzipSync, type Zippable, zipSync } from 'fflate';
import { Refusal } from '../core/model/refusal';
import { MAX_TABLE } from '../core/model/limits';

/** The most that a spreadsheet's file may unpack to, bytes. */
export const MAX_UNPACKED_BYTES = 50_000_000;

const SHEET = /^xl\/worksheets\/[^/]+\.xml$/;
const EMPTY_CELL = /<(?:\w+:)?c\b[^<>]*(?:\/>|>\s*<\/(?:\w+:)?c>)/g;
const CELL = /<(?:\w+:)?c\b[^<>]*?\br="([A-Za-z]{1,4})(\d{1,9})"/g;

/** Column "A" is 1, "XFD" 16,384. */
const columnNumber = (letters: string): number =>
  [...letters.toUpperCase()].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0);

/** A sheet without its empty cells, which make it as large as its farthest border. @throws Refusal `too-large` */
function withoutEmptyCells(xml: string): string {
  const filled = xml.replace(EMPTY_CELL, '');
  for (const [, letters = '', row = ''] of filled.matchAll(CELL))
    if (columnNumber(letters) > MAX_TABLE.columns || Number(row) > MAX_TABLE.rows + 20)
      throw new Refusal(
        'too-large',
        `Cell ${letters}${row} is too far out: a table may have ${MAX_TABLE.rows} rows and ${MAX_TABLE.columns} columns.`,
      );
  return filled;
}

/**
 * A spreadsheet's own file with the cells that say something and no others, so that reading it takes no more than it holds.
 *
 * @throws Refusal `too-large` for one that unpacks to too much, or reaches too far
 */
export function plainSheet(bytes: Uint8Array): Uint8Array {
  let unpacked = 0;
  const files = unzipSync(bytes, {
    filter: ({ name, originalSize }) => {
      if (!/\.(xml|rels)$/.test(name)) return false;
      unpacked += originalSize;
      if (unpacked > MAX_UNPACKED_BYTES)
        throw new Refusal('too-large', 'That file unpacks to more than 50 megabytes. Import it in parts.');
      return true;
    },
  });
  const plain: Zippable = {};
  for (const [name, content] of Object.entries(files))
    plain[name] = SHEET.test(name) ? strToU8(withoutEmptyCells(strFromU8(content))) : content;
  return zipSync(plain, { level: 0 });
}
