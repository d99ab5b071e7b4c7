import { containers } from './containers';
import { foods } from './foods';
import { ledger } from './ledger';
import { readings } from './readings';
import { shopping } from './shopping';
import { stock } from './stock';
import type { Table } from './table';
import { wishes } from './wishes';
import { zones } from './zones';

/** Every table that goes out, by its name. */
export const TABLES = { stock, ledger, foods, wishes, zones, containers, readings, shopping };

export type TableName = keyof typeof TABLES;
export const TABLE_NAMES = Object.keys(TABLES) as TableName[];

/** Which of our own tables a file is, by its columns, in whatever order they stand; `null`: none of them. */
export function tableOf(columns: readonly string[]): TableName | null {
  const found = new Set(columns);
  const isIt = (table: Table): boolean => table.columns.every((name) => found.has(name));
  return TABLE_NAMES.find((name) => isIt(TABLES[name])) ?? null;
}
