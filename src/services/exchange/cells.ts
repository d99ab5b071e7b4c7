/** Signs at the beginning of a cell by which a spreadsheet would run it, and the one that says that it is words. */
const RUNS = /^['=+\-@\t\r]/;

/** A plain number is run by nothing. */
const NUMBER = /^-?\d+(\.\d+)?$/;

/** A cell that a spreadsheet would run as a formula is written as the words it is: with a ' in front. */
export const asWords = (cell: string): string => (RUNS.test(cell) && !NUMBER.test(cell) ? `'${cell}` : cell);

/** The words of a cell, as they were before {@link asWords}. */
export const fromWords = (cell: string): string =>
  cell.startsWith("'") && RUNS.test(cell.slice(1)) ? cell.slice(1) : cell;
