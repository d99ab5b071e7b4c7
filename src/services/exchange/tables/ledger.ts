import { type Table, text } from './table';

const COLUMNS = ['recorded_at', 'at', 'type', 'says', 'told_by', 'note', 'undone_by', 'id'];

/** Everything that was told. It is a record of what happened: it comes in with the whole household only. */
export const ledger: Table = {
  section: 'commands',
  columns: COLUMNS,
  cells: (row) => Object.fromEntries(COLUMNS.map((name) => [name, text(row[name])])),
  wayIn: null,
};
