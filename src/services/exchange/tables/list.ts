import { parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';
import { wrong } from './table';

/** Several words in one cell: separated by semicolons, quoted where they have one themselves. */
export const listed = (words: readonly string[]): string =>
  words.length === 0 ? '' : stringify([words], { delimiter: ';', eof: false });

/** The words of such a cell. @throws Refusal `row` */
export function listIn(cell: string | undefined): string[] {
  try {
    return (parse(cell ?? '', { delimiter: ';', trim: true }) as string[][])
      .flat()
      .filter((one) => one !== '');
  } catch {
    return wrong(`“${cell}” is no list of words with semicolons between them.`);
  }
}
