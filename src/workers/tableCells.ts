import { parse } from 'csv-parse/sync';
import readExcel from 'read-excel-file/node';
import { MAX_TABLE } from '../core/model/limits';
import { Refusal } from '../core/model/refusal';
import { bytesOf, headOf, lengthOf, type SentFile } from './sentFile';
import { MAX_UNPACKED_BYTES, plainSheet } from './plainSheet';

/** The longest row of a comma separated table, characters. */
const MAX_ROW_LENGTH = 200_000;

/** The sign between cells: of those that may be, the one that stands most often in one of the first lines. */
function delimiterOf(text: string): string {
  const lines = text.slice(0, 20_000).split(/\r\n|\n|\r/, 6);
  const counts = [',', ';', '\t', '|'].map((sign) => ({
    sign,
    count: Math.max(...lines.map((line) => line.replaceAll(/"[^"]*"/g, '').split(sign).length)),
  }));
  return counts.sort((a, b) => b.count - a.count)[0]?.sign ?? ',';
}

/** A cell of a spreadsheet in words; a day as a plain date. */
function wordsOf(cell: unknown): string {
  if (cell === null || cell === undefined) return '';
  if (cell instanceof Date) return cell.toISOString().slice(0, 10);
  return String(cell);
}

async function sheetCells(bytes: Uint8Array): Promise<string[][]> {
  const read = (await readExcel(Buffer.from(plainSheet(bytes)))) as unknown;
  const [first] = read as { data?: unknown[][] }[];
  const rows = (first && 'data' in first ? first.data : read) as unknown[][];
  return rows.map((row) => row.map(wordsOf));
}

function textCells(sent: SentFile): string[][] {
  if (lengthOf(sent) > MAX_UNPACKED_BYTES)
    throw new Refusal('too-large', 'That table is larger than 50 megabytes. Import it in parts.');
  const bytes = Buffer.from(bytesOf(sent));
  const utf8 = bytes.toString('utf8').replace(/^\ufeff/, '');
  const text = utf8.includes('\ufffd') ? bytes.toString('latin1') : utf8;
  return parse(text, {
    delimiter: delimiterOf(text),
    relaxColumnCount: true,
    skipEmptyLines: false,
    recordDelimiter: ['\r\n', '\n', '\r'],
    relaxQuotes: true,
    maxRecordSize: MAX_ROW_LENGTH,
    // One more than may be, so that it is known to be too many; empty lines and titles count here.
    to: 2 * MAX_TABLE.rows,
  });
}

/**
 * The cells of a table in words, from its file: comma, semicolon or tab separated, or a spreadsheet's own file.
 *
 * @throws Refusal `too-large`, or `unreadable` for what is no table
 */
export async function tableCells(sent: SentFile): Promise<string[][]> {
  try {
    // Every spreadsheet of that kind is a zip.
    const zipped = headOf(sent, 2).toString('latin1') === 'PK';
    const cells = zipped ? await sheetCells(bytesOf(sent)) : textCells(sent);
    return cells.map((row) => row.slice(0, MAX_TABLE.columns + 40));
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal('unreadable', 'Orderly Frost can’t read this table. Save it as CSV or XLSX.');
  }
}
