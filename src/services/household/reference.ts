import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { parse } from 'csv-parse/sync';
import { readFoods } from '@/core/foods/readFoods';
import type { TableFault, TableRow } from '@/core/foods/readTable';
import { readOutageClasses } from '@/core/powercut/readOutageClasses';
import { sql, transaction } from '@/store/database';
import { putReference, putReferenceDigest, readReferenceDigest } from '@/store/foods';

const FOLDER = path.join(process.cwd(), 'data');

/** The reference files hold a fault; the start stops here. */
export class BadReference extends Error {
  constructor(readonly faults: readonly TableFault[]) {
    super(
      `The reference data cannot be used:\n${faults
        .slice(0, 20)
        .map(({ file, row, column, message }) => `  ${file}, row ${row}, column ${column}: ${message}`)
        .join('\n')}${faults.length > 20 ? `\n  and ${faults.length - 20} more` : ''}`,
    );
    this.name = 'BadReference';
  }
}

function readRows(file: string, text: string): TableRow[] {
  try {
    return parse(text, { columns: true, bom: true, skip_empty_lines: true });
  } catch (error) {
    const lines = (error as { lines?: number }).lines ?? 0;
    throw new BadReference([{ file, row: lines, column: '', message: (error as Error).message }]);
  }
}

/** Reads and checks both tables. @throws BadReference with file, row and column of every fault */
function checkReference(foodsCsv: string, outageCsv: string) {
  const outage = readOutageClasses('data/outage.csv', readRows('data/outage.csv', outageCsv));
  const foods = readFoods('data/foods.csv', readRows('data/foods.csv', foodsCsv), outage.classes);
  const faults = [...outage.faults, ...foods.faults];
  if (faults.length > 0) throw new BadReference(faults);
  return { classes: outage.classes, foods: foods.foods };
}

/** Loads the reference files into their tables when they changed since. @returns true when something was loaded */
export async function loadReference(folder = FOLDER): Promise<boolean> {
  const [foodsCsv, outageCsv] = await Promise.all([
    readFile(path.join(folder, 'foods.csv'), 'utf8'),
    readFile(path.join(folder, 'outage.csv'), 'utf8'),
  ]);
  const digest = createHash('sha256').update(foodsCsv).update(outageCsv).digest('hex');
  if ((await readReferenceDigest(sql(), 'reference')) === digest) return false;
  const { classes, foods } = checkReference(foodsCsv, outageCsv);
  await transaction(async (db) => {
    await putReference(db, classes, foods);
    await putReferenceDigest(db, 'reference', digest);
  });
  return true;
}
