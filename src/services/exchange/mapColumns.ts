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

/** What the cells of a column look like, each meaning told by most of them; in the order in which they are tried. */
const LOOKS: readonly (readonly [ColumnMeaning, RegExp])[] = [
  ['zone', /\b(?:freezer|fridge|drawer|shelf|basket|layer|chest|door|larder|top|middle|bottom)\b/i],
  ['amount', /^\s*(?:ca\.?\s*)?\d+(?:[.,]\d+)?\s*(?:k?g|grams?|ml|l|lit(?:re|er)s?|oz|lbs?|pints?)\b/i],
  [
    'start',
    /^\s*(?:\d{1,2}[./-]\d{1,2}|\d{4}-\d\d-\d\d|\d{1,2}(?:st|nd|rd|th)?\s+\p{L}{3}|\p{L}{3,9}\s+\d{1,4}$|(?:last|since|early|late)\s|(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*$)/iu,
  ],
  ['packs', /^\s*(?:\d{1,2}|\d{1,2}\s*(?:x|packs?|bags?|tubs?|boxes|rolls?|pcs?|pieces|jars?))\s*$/i],
  ['name', /\p{L}{3}/u],
];
/** A column is what so many of its cells look like. */
const MOST = 0.6;

/** What columns tell, by their names, else by what their cells look like; each thing is told by one column, the first that is called so. */
export function mapColumns(names: readonly string[], rows: readonly (readonly string[])[] = []): Mapping {
  const taken = new Set<ColumnMeaning>();
  const told = names.map((name) => {
    const plain = plainName(name);
    const found = MEANINGS.find((meaning) => !taken.has(meaning) && WORDS[meaning].includes(plain));
    if (!found) return null;
    taken.add(found);
    return found;
  });
  return told.map((known, at) => {
    const cells = rows.map((row) => row[at] ?? '').filter((cell) => cell.trim() !== '');
    if (known !== null || cells.length === 0) return known;
    const seen = LOOKS.find(
      ([meaning, look]) =>
        !taken.has(meaning) && cells.filter((cell) => look.test(cell)).length >= MOST * cells.length,
    );
    if (!seen) return null;
    // What nobody named a food is a remark.
    taken.add(seen[0]);
    return seen[0];
  });
}
