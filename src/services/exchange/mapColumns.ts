import WORDS from './columnWords.json';

/** What a column of a table may tell. */
export const MEANINGS = Object.keys(WORDS) as (keyof typeof WORDS)[];
export type ColumnMeaning = (typeof MEANINGS)[number];

/** What a column tells; `null`: nothing of this. */
export type Mapping = (ColumnMeaning | null)[];

const plainName = (name: string): string =>
  name
    .toLowerCase()
    .replaceAll(/[_\-.:*#()]/g, ' ')
    .replaceAll(/\s+/g, ' ')
    .trim();

/** What columns tell, by their names; each thing is told by one column, the first that is called so. */
export function mapColumns(names: readonly string[]): Mapping {
  const taken = new Set<ColumnMeaning>();
  return names.map((name) => {
    const plain = plainName(name);
    const found = MEANINGS.find((meaning) => !taken.has(meaning) && WORDS[meaning].includes(plain));
    if (!found) return null;
    taken.add(found);
    return found;
  });
}
