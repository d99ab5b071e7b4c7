/** One word, number or mark of the line with its offsets. */
export interface QuickToken {
  text: string;
  lower: string;
  kind: 'word' | 'number' | 'mark';
  from: number;
  to: number;
}

/** "1 ½", "1 1/2", "½", "1/2": a fraction of a kitchen, never a date. */
const FRACTION = String.raw`(?:\d+\s)?(?:1/2|1/3|2/3|1/4|3/4)(?![\d/.])|(?:\d+\s?)?[½⅓⅔¼¾]`;
const WORD = String.raw`[\p{L}\p{M}][\p{L}\p{M}'’.&-]*[\p{L}\p{M}]|[\p{L}\p{M}]`;
const TOKEN = new RegExp(String.raw`${FRACTION}|\d+(?:[.,]\d+)?(?!\d)%?|${WORD}|[/>@,;→×+]|[^\s]`, 'gu');

/** Cuts a line into tokens; "1.6kg" gives a number and a word, "1 ½" one number. */
export function quickTokens(text: string): QuickToken[] {
  return [...text.matchAll(TOKEN)].map((match) => {
    const token = match[0];
    const kind =
      /^[\d½⅓⅔¼¾]/.test(token) && !token.endsWith('%')
        ? 'number'
        : /^[\p{L}\d]/u.test(token)
          ? 'word'
          : 'mark';
    return {
      text: token,
      lower: token.toLowerCase().replaceAll('’', "'"),
      kind,
      from: match.index,
      to: match.index + token.length,
    };
  });
}
