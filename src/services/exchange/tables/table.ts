import { v4 as newUuid, validate as isUuid } from 'uuid';
import { Refusal } from '@/core/model/refusal';
import type { ListedFood } from '../../household/household';
import type { Kitchen } from '@/store/kitchens';
import type { SectionRow } from '@/store/sections';

export type Cells = Record<string, string>;

/** What the cells of a row speak of. */
export interface TableWorld {
  kitchen: Kitchen;
  currency: string;
  /** Every food there is, its published figures, by id. */
  foods: ReadonlyMap<string, ListedFood>;
}

/** A command without its id, as the door takes it. */
export type Telling = { type: string } & Record<string, unknown>;

/** How rows of a table come in again, each through the door like anything that is told. */
export interface WayIn {
  /** "container", "containers". */
  one: string;
  many: string;
  /** Columns that are told; what else stands there was worked out. */
  told: readonly string[];
  /** Rows of one and the same come in together; left out: each by itself. */
  together?: (cells: Cells) => string;
  /** Rows that must stand before others come first; smaller before larger. */
  rank?: (cells: Cells) => string;
  /** @throws Refusal `row` when a cell says nothing that can be */
  tellings: (rows: readonly Cells[], world: TableWorld) => Telling[];
}

/** A table that goes out as CSV: of which section, and what its cells say; `null`: that row is none of it. */
export interface Table {
  section: string;
  columns: readonly string[];
  cells: (row: SectionRow, world: TableWorld) => Cells | null;
  /** `null`: its rows come in another way, or with the whole household only. */
  wayIn: WayIn | null;
}

export const text = (value: unknown): string => (value === null || value === undefined ? '' : String(value));
export const yes = (value: unknown): string => (value === true ? 'yes' : 'no');

/** @throws Refusal `row` */
export function wrong(says: string): never {
  throw new Refusal('row', says);
}

/** A number as it is written here: some spreadsheets write a comma. */
export const withPoint = (cell: string): string => cell.replace(/^(-?\d+),(\d+)$/, '$1.$2');

/** A cell as a number; `null`: nothing stands there. @throws Refusal `row` */
export function numberIn(cells: Cells, column: string): number | null {
  const cell = cells[column] ?? '';
  if (cell === '') return null;
  const value = Number(withPoint(cell));
  return Number.isFinite(value) ? value : wrong(`“${cell}” is no number for ${column.replaceAll('_', ' ')}.`);
}

/** A number that must stand there. @throws Refusal `row` */
export const mustNumber = (cells: Cells, column: string): number =>
  numberIn(cells, column) ?? wrong(`${column.replaceAll('_', ' ')} is missing.`);

/** The id of a row; a new one where none stands. @throws Refusal `row` */
export function idIn({ id = '' }: Cells): string {
  if (id === '') return newUuid();
  return isUuid(id) ? id : wrong(`“${id}” is no id; leave it empty for something new.`);
}

/**
 * The food that a row is of: by its id, else by its name, for an own food has another id in another household.
 *
 * @throws Refusal `row` when it is not known here
 */
export function foodIn({ food = '', name = '' }: Cells, { foods }: TableWorld): string {
  if (foods.has(food)) return food;
  const called = [...foods.values()].find((one) => one.name === name && !one.retired);
  return called?.id ?? wrong(`There is no food “${food || name}” here.`);
}

/** A cell as yes or no. @throws Refusal `row` */
export function yesIn(cells: Cells, column: string): boolean {
  const cell = (cells[column] ?? '').toLowerCase();
  if (['yes', 'true', '1'].includes(cell)) return true;
  return ['no', 'false', '0', ''].includes(cell)
    ? false
    : wrong(`“${cell}” is neither yes nor no for ${column.replaceAll('_', ' ')}.`);
}
