import type { LabelText } from './labelText';

/**
 * The five things to write on tape by hand, the largest first: what, until when, how much, since when, and its code; and whom it is not for.
 */
export function tapeWords({ name, due, amount, happened, code, notFor }: LabelText): string[] {
  const short = (words: string): string => words.replace(/ \d{4}$/, '');
  return [name, due, amount.split(' · ')[0] ?? amount, short(happened), code, notFor].filter(
    (words) => words !== '',
  );
}
