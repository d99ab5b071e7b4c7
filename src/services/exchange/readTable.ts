import { MAX_TABLE } from '@/core/model/limits';
import type { SentFile } from '@/workers/sentFile';
import { readInWorker } from '../calculators/heavy';
import { Problem } from '../door/problem';
import { fromWords } from './cells';

/** A table as it was found: what its columns are called, and its cells in words. */
export interface FoundTable {
  columns: string[];
  rows: string[][];
  /** Where each row stands, as a spreadsheet counts. */
  numbers: number[];
}

const MAX_CELL_LENGTH = 20_000;

/**
 * A table from the cells of a file: the first line that has more than one word in it names the columns.
 *
 * @throws Problem 400, 413
 */
export function tableOfCells(cells: readonly (readonly string[])[]): FoundTable {
  const all = cells
    .map((row, at) => ({
      number: at + 1,
      row: row.map((cell) => fromWords(cell.trim().slice(0, MAX_CELL_LENGTH))),
    }))
    .filter(({ row }) => row.some((cell) => cell !== ''));
  const head = all.findIndex(({ row }) => row.filter((cell) => cell !== '').length > 1);
  const from = head === -1 ? 0 : head;
  const columns = (all[from]?.row ?? []).map((name) => name.replaceAll(/\s+/g, ' '));
  const found = all.slice(from + 1);
  if (columns.length === 0 || found.length === 0)
    throw new Problem(400, 'invalid', 'This table has a first line and no rows below it.');
  if (found.length > MAX_TABLE.rows || columns.length > MAX_TABLE.columns)
    throw new Problem(
      413,
      'too-large',
      `A table may have ${MAX_TABLE.rows} rows and ${MAX_TABLE.columns} columns. Import it in parts.`,
    );
  return {
    columns,
    rows: found.map(({ row }) => columns.map((_name, at) => row[at] ?? '')),
    numbers: found.map(({ number }) => number),
  };
}

/**
 * Reads a table from a file, in a worker: comma, semicolon or tab separated, or a spreadsheet’s own file.
 *
 * @param cancelled whoever sent it went away
 * @throws Problem 400, 413, 429
 */
export const readTable = async (sent: SentFile, cancelled?: AbortSignal): Promise<FoundTable> =>
  tableOfCells(await readInWorker('tableCells', [sent], cancelled));
