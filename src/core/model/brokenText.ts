/** A surrogate without its other half. */
const HALF = /\p{Cs}/u;
/** Nothing that is read here is nested deeper. */
const DEEPEST = 30;

/** The path of the first text with a broken character, such as "lines.0.called"; `null` if there is none. Too deep counts as broken. */
export function brokenText(value: unknown, place = '', depth = 0): string | null {
  if (typeof value === 'string') return HALF.test(value) ? place : null;
  if (typeof value !== 'object' || value === null) return null;
  if (depth > DEEPEST) return place;
  for (const [key, one] of Object.entries(value)) {
    if (HALF.test(key)) return place;
    const found = brokenText(one, place === '' ? key : `${place}.${key}`, depth + 1);
    if (found !== null) return found;
  }
  return null;
}
