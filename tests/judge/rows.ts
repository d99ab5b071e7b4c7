import { readFileSync } from 'node:fs';
import path from 'node:path';
import { parse } from 'csv-parse/sync';

const FOLDER = path.join(process.cwd(), 'data');

const read = (file: string): Record<string, string>[] =>
  parse(readFileSync(path.join(FOLDER, file), 'utf8'), { columns: true, bom: true });

/** The reference tables as they stand in the files, for the second reading. */
export const foodRows = new Map(read('foods.csv').map((row) => [row.id as string, row]));
export const outageRows = new Map(read('outage.csv').map((row) => [row.id as string, row]));
