/** One word, number or mark of the line with its offsets. */
export interface QuickToken {
  text: string;
  lower: string;
  kind: 'word' | 'number' | 'mark';
  from: number;
  to: number;
}

const TOKEN = /[/>@,→×+]|\d+(?:[.,]\d+)?(?!\d)%?|[\p{L}\p{M}'’-]+|[^\s]/gu;

/** Cuts a line into tokens; "1.6kg" gives a number and a word. */
export function quickTokens(text: string): QuickToken[] {
  return [...text.matchAll(TOKEN)].map((match) => {
    const token = match[0];
    const kind =
      /^\d/.test(token) && !token.endsWith('%') ? 'number' : /^[\p{L}\d]/u.test(token) ? 'word' : 'mark';
    return {
      text: token,
      lower: token.toLowerCase(),
      kind,
      from: match.index,
      to: match.index + token.length,
    };
  });
}
