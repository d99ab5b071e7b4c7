/** One fault in a reference file, as told to whoever edits it. Rows count from 1 at the header, as editors do. */
export interface TableFault {
  file: string;
  row: number;
  column: string;
  message: string;
}

export type TableRow = Record<string, string>;

/** Reads the cells of one row and collects what is wrong with them. */
export class RowReader {
  constructor(
    private readonly file: string,
    private readonly row: number,
    private readonly cells: TableRow,
    private readonly faults: TableFault[],
  ) {}

  fault(column: string, message: string): void {
    this.faults.push({ file: this.file, row: this.row, column, message });
  }

  text(column: string): string {
    const cell = this.cells[column];
    if (cell === undefined) {
      this.fault(column, 'the column is missing');
      return '';
    }
    return cell.trim();
  }

  needed(column: string): string {
    const cell = this.text(column);
    if (cell === '') this.fault(column, 'must not be empty');
    return cell;
  }

  list(column: string): string[] {
    return this.text(column)
      .split('|')
      .map((part) => part.trim())
      .filter((part) => part !== '');
  }

  /** A number within bounds, or `null` for an empty cell. */
  number(column: string, min: number, max: number): number | null {
    const cell = this.text(column);
    if (cell === '') return null;
    const value = Number(cell);
    if (!Number.isFinite(value)) {
      this.fault(column, `"${cell}" is not a number`);
      return null;
    }
    if (value < min || value > max) this.fault(column, `${value} is not between ${min} and ${max}`);
    return value;
  }

  neededNumber(column: string, min: number, max: number): number {
    const value = this.number(column, min, max);
    if (value === null && this.text(column) === '') this.fault(column, 'must not be empty');
    return value ?? min;
  }

  /** One of a closed set. */
  choice<T extends string>(column: string, set: readonly T[]): T {
    const cell = this.text(column);
    const found = set.find((item) => item === cell);
    if (found === undefined) this.fault(column, `"${cell}" is none of ${set.join(', ')}`);
    return found ?? (set[0] as T);
  }

  /** Minimum and maximum of one figure: both or neither, in order. */
  range(stem: string, suffix: string, most: number): [number | null, number | null] {
    const low = this.number(`${stem}_min`, 0, most);
    const high = this.number(`${stem}_max`, 0, most);
    if ((low === null) !== (high === null)) {
      this.fault(`${stem}_max`, `minimum and maximum ${suffix} come together`);
    } else if (low !== null && high !== null && low > high) {
      this.fault(`${stem}_min`, `the minimum ${low} is over the maximum ${high}`);
    }
    return [low, high];
  }
}
