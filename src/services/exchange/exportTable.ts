import { stringify } from 'csv-stringify/sync';
import { type Sql, transaction } from '@/store/database';
import type { Household } from '@/store/households';
import { readKitchen } from '@/store/kitchens';
import { readSection, SECTIONS } from '@/store/sections';
import { loadReference } from '../household/household';
import { asWords } from './cells';
import { type TableName, TABLES } from './tables';
import type { Cells, Table, TableWorld } from './tables/table';

/** Cells as a line of CSV: none of them is run by a spreadsheet. */
export const csvLines = (rows: readonly (readonly string[])[]): string =>
  stringify(
    rows.map((row) => row.map(asWords)),
    { record_delimiter: 'windows', quoted_match: /[\r\n]/ },
  );

/** What the cells of a household's tables speak of. */
export async function tableWorld(
  db: Sql,
  { id, currency }: Pick<Household, 'id' | 'currency'>,
): Promise<TableWorld> {
  const { plain } = await loadReference(db, id);
  return { kitchen: await readKitchen(db, id), currency, foods: plain };
}

/** The rows of a table as its cells, page by page. */
export async function* tableRows(
  db: Sql,
  householdId: number,
  name: TableName,
  world: TableWorld,
): AsyncGenerator<Cells[]> {
  const table: Table = TABLES[name];
  const section = SECTIONS.find((one) => one.name === table.section);
  if (!section) throw new Error(`no section ${table.section}`);
  for await (const rows of readSection(db, householdId, section))
    yield rows.map((row) => table.cells(row, world)).filter((cells) => cells !== null);
}

/** Writes a table of a household as CSV, page by page, as it stood at one moment. */
export async function exportTable(
  household: Pick<Household, 'id' | 'currency'>,
  name: TableName,
  write: (part: string) => Promise<void>,
): Promise<void> {
  const { columns } = TABLES[name];
  await transaction(async (db) => {
    const world = await tableWorld(db, household);
    // With a mark of its encoding, so that a spreadsheet reads every letter.
    await write(`\ufeff${csvLines([columns])}`);
    for await (const rows of tableRows(db, household.id, name, world)) {
      const lines = rows.map((cells) => columns.map((column) => cells[column] ?? ''));
      if (lines.length > 0) await write(csvLines(lines));
    }
  });
}
