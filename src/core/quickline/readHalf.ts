const PLACE = String.raw`(?:the\s+)?(?:fridge|freezer)`;
const GOES = String.raw`(?:and\s+half|(?:goes\s+|is\s+)?(?:to|in|into|for)\s+${PLACE}|freeze[rn]?|fridge|frozen|fresh)`;
/** "half freeze", "half and half", "half to the fridge, half to the freezer", "half in the freezer and the rest in the fridge". */
const HALF = new RegExp(
  String.raw`[\s,]*\bhalf\s+(?:of\s+it\s+)?${GOES}\b(?:[\s,]*(?:and\s+)?(?:the\s+)?(?:other\s+)?(?:half|rest|other)\s+${GOES}\b)?[\s,]*`,
  'i',
);

/** Takes what says that one half freezes and the other stays chilled out of a line. */
export function readHalf(text: string): { text: string; half: boolean } {
  const found = HALF.exec(text);
  if (!found) return { text, half: false };
  const rest = `${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}`.trim();
  return { text: rest, half: true };
}

/** A line that was read without its half, with it again. */
export const withHalf = (text: string, { half }: { half: boolean }): string =>
  half ? `${text.trim()}, half freeze` : text;
