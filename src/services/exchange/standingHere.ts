import { Refusal } from '@/core/model/refusal';
import { codeNumber } from '@/core/labels/codeNumber';
import { codesSpent } from '@/store/codeNumbers';
import { sql } from '@/store/database';
import type { Household } from '@/store/households';
import { tableRows, tableWorld } from './exportTable';
import type { FoundTable } from './readTable';
import type { Mapping } from './mapColumns';
import { type Told, toldIn } from './rowLine';
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

/** What a row's code says: it stands here as it is, its label is free here or tells none, or the label cannot be its own. */
export type Standing = 'same' | 'new' | 'uncoded';

/**
 * Packages by the codes on their labels, as far as a table speaks of them: what is here already, or was, is not brought a second
 * time. Where the coming of a package was taken back, its row comes in anew, under another code.
 *
 * @returns how a row stands. @throws Refusal when it stands here otherwise, left, or has its code from another row
 */
export async function standingHere(
  { columns, rows }: FoundTable,
  mapping: Mapping,
  household: Household,
): Promise<(told: Told, cells: readonly string[]) => Standing> {
  const compared = STOCK_TOLD.filter((name) => columns.includes(name));
  const here = new Map<string, string>();
  const world = await tableWorld(sql(), household);
  for await (const some of tableRows(sql(), household.id, 'stock', world))
    for (const cells of some) here.set(cells.code ?? '', plain(cells, compared));
  const codeOf = (told: Told): string => told.code?.toUpperCase() ?? '';
  const told = rows
    .map((cells) => codeOf(toldIn(cells, mapping)))
    .filter((code) => codeNumber(code) !== null);
  const spent = await codesSpent(sql(), household.id, told);
  const seen = new Set<string>();
  return (row, cells) => {
    const code = codeOf(row);
    if (codeNumber(code) === null) return 'new';
    if (seen.has(code))
      throw new Refusal(
        'row',
        `${code} stands in a row above already. For another package leave its code out.`,
      );
    seen.add(code);
    const holder = spent.get(code);
    if (holder === undefined) return 'new';
    if (holder === 'undone') return 'uncoded';
    const stands = here.get(code);
    const named = Object.fromEntries(columns.map((name, at) => [name, cells[at] ?? '']));
    if (stands !== undefined && plain(named, compared) === stands) return 'same';
    throw new Refusal(
      'row',
      holder === 'here'
        ? `${code} is here already, and not as this row has it. Change it there; for another package leave its code out.`
        : `${code} was here and is gone. For another package leave its code out.`,
    );
  };
}
