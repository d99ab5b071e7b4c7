import { Refusal } from '@/core/model/refusal';
import { sql } from '@/store/database';
import type { Household } from '@/store/households';
import { tableRows, tableWorld } from './exportTable';
import type { FoundTable } from './readTable';
import type { Told } from './rowLine';
import { STOCK_TOLD } from './tables/stock';
import { type Cells, withPoint } from './tables/table';

/** A cell however it was saved: a spreadsheet writes 4.10 as 4.1, or as 4,1. */
function plainCell(cell = ''): string {
  const words = withPoint(cell.replaceAll(/\s+/g, ' ').trim());
  return /^-?\d+(\.\d+)?$/.test(words) ? String(Number(words)) : words;
}

/** A row by the cells that were told, not worked out. */
const plain = (cells: Cells, columns: readonly string[]): string =>
  JSON.stringify(columns.map((name) => plainCell(cells[name])));

/**
 * Packages by the codes on their labels, as far as a table speaks of them: what is here already is not brought a second time.
 *
 * @returns whether a row stands here as it is. @throws Refusal when it stands here otherwise
 */
export async function standingHere(
  { columns }: FoundTable,
  household: Household,
): Promise<(told: Told, cells: readonly string[]) => boolean> {
  const compared = STOCK_TOLD.filter((name) => columns.includes(name));
  const here = new Map<string, string>();
  const world = await tableWorld(sql(), household);
  for await (const rows of tableRows(sql(), household.id, 'stock', world))
    for (const cells of rows) here.set(cells.code ?? '', plain(cells, compared));
  return ({ code = '' }, cells) => {
    const stands = here.get(code.toUpperCase());
    if (stands === undefined) return false;
    const row = Object.fromEntries(columns.map((name, at) => [name, cells[at] ?? '']));
    if (plain(row, compared) === stands) return true;
    throw new Refusal(
      'row',
      `${code} is here already, and not as this row has it. Change it there; for another package leave its code out.`,
    );
  };
}
