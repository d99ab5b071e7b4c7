import { parse } from 'csv-parse/sync';
import readExcel from 'read-excel-file/node';
import { Problem } from '../door/problem';
import { fromWords } from './cells';

/** A table as it was found: what its columns are called, and its cells in words. */
export interface FoundTable {
  columns: string[];
  rows: string[][];
  /** Where each row stands, as a spreadsheet counts. */
  numbers: number[];
}

const MOST_ROWS = 50_000;
const MOST_COLUMNS = 100;
const LONGEST_CELL = 20_000;

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

async function cellsOf(bytes: Buffer): Promise<string[][]> {
  // Every spreadsheet of that kind is a zip.
  if (bytes.subarray(0, 2).toString('latin1') === 'PK') {
    const read = (await readExcel(bytes)) as unknown;
    const [first] = read as { data?: unknown[][] }[];
    const rows = (first && 'data' in first ? first.data : read) as unknown[][];
    return rows.map((row) => row.map(wordsOf));
  }
  const told = bytes.toString('utf8').replace(/^\ufeff/, '');
  const text = told.includes('\ufffd') ? bytes.toString('latin1') : told;
  return parse(text, {
    delimiter: delimiterOf(text),
    relaxColumnCount: true,
    skipEmptyLines: false,
    recordDelimiter: ['\r\n', '\n', '\r'],
    relaxQuotes: true,
  });
}

/**
 * Reads a table from the bytes of a file: comma, semicolon or tab separated, or a spreadsheet’s own file. The first line that has
 * more than one word in it names the columns.
 *
 * @throws Problem 400
 */
export async function readTable(bytes: Buffer): Promise<FoundTable> {
  let cells: string[][];
  try {
    cells = await cellsOf(bytes);
  } catch {
    throw new Problem(400, 'invalid', 'That is no table this kitchen can read: save it as CSV or XLSX.');
  }
  const all = cells
    .map((row, at) => ({
      number: at + 1,
      row: row.slice(0, MOST_COLUMNS).map((cell) => fromWords(cell.trim().slice(0, LONGEST_CELL))),
    }))
    .filter(({ row }) => row.some((cell) => cell !== ''));
  const head = all.findIndex(({ row }) => row.filter((cell) => cell !== '').length > 1);
  const from = head === -1 ? 0 : head;
  const columns = (all[from]?.row ?? []).map((name) => name.replaceAll(/\s+/g, ' '));
  const found = all.slice(from + 1);
  if (columns.length === 0 || found.length === 0)
    throw new Problem(400, 'invalid', 'There is nothing in that table but its first line.');
  if (found.length > MOST_ROWS)
    throw new Problem(413, 'too-large', `A table may have ${MOST_ROWS} rows. Bring it in parts.`);
  return {
    columns,
    rows: found.map(({ row }) => columns.map((_name, at) => row[at] ?? '')),
    numbers: found.map(({ number }) => number),
  };
}
