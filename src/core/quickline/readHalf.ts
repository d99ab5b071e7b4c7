const HALF = /[\s,]*\bhalf\s+(?:and\s+half|to\s+the\s+(?:fridge|freezer)|freeze[rn]?|fridge)\b[\s,]*/i;

/** Takes "half freeze", "half and half" or "half to the fridge" out of a line. */
export function readHalf(text: string): { text: string; half: boolean } {
  const found = HALF.exec(text);
  if (!found) return { text, half: false };
  const rest = `${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}`.trim();
  return { text: rest, half: true };
}
