import { type Found, sameWords, type Word } from './askedWords';

const LACKS = [
  ['no price', 'price'],
  ['without price', 'price'],
  ['without a price', 'price'],
  ['no label', 'label'],
  ['without label', 'label'],
  ['without a label', 'label'],
  ['unlabelled', 'label'],
] as const;

/** "no label", "without a price": what nobody printed or told. */
export function readLack(words: readonly Word[]): Found | null {
  for (const [says, what] of LACKS) {
    const wanted = says.split(' ');
    if (sameWords(words, wanted))
      return { length: wanted.length, says: `no ${what}`, narrows: { by: 'lacks', what } };
  }
  return null;
}
