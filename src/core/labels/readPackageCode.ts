/** What a hurried hand writes or types for a letter, and for a digit, of a code: neither holds I, O, 0 or 1. */
const AS_LETTER: Readonly<Record<string, string>> = {
  '0': 'Q',
  O: 'Q',
  '1': 'L',
  I: 'L',
  '2': 'Z',
  '5': 'S',
  '8': 'B',
  '6': 'G',
};
const AS_DIGIT: Readonly<Record<string, string>> = {
  Z: '2',
  S: '5',
  B: '8',
  G: '6',
  O: '9',
  Q: '9',
  '0': '9',
  I: '7',
  L: '7',
  '1': '7',
  T: '7',
};

const LETTERS = 2;

/**
 * A code as it was typed or read off a label, as it stands in the ledger: any case, with spaces or dashes, and letters taken for
 * digits or the other way round, by their place.
 *
 * @returns the likeliest code; what was typed, cleaned, when it cannot be one
 */
export function readPackageCode(typed: string): string {
  const clean = typed.toUpperCase().replace(/[^A-Z0-9]/g, '');
  if (clean.length < LETTERS + 2 || clean.length > 8) return clean;
  return [...clean]
    .map((sign, at) => (at < LETTERS ? (AS_LETTER[sign] ?? sign) : (AS_DIGIT[sign] ?? sign)))
    .join('');
}
