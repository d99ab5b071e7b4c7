import { readAmount } from '../../units/readAmount';
import { sayAmount } from '../../units/sayAmount';
import type { Found, Word } from './askedWords';

const THAN = /^(more than|over|heavier than|less than|under|lighter than)\s+(\d+(?:[.,]\d+)?)\s*(\p{L}+)/iu;

/** "more than 1 kg", "under 300 ml". */
export function readAmountAsked(words: readonly Word[], text: string): Found | null {
  const [first] = words;
  const found = first && THAN.exec(text.slice(first.from));
  if (!first || !found) return null;
  const [whole, than = '', figure = '', unit = ''] = found;
  const amount = readAmount(Number(figure.replace(',', '.')), unit.toLowerCase());
  if (!amount || amount.unit === 'pc') return null;
  const to = first.from + whole.length;
  const length = words.filter(({ to: end }) => end <= to).length;
  const more = /more|over|heavier/i.test(than);
  return {
    length,
    says: `${more ? 'more' : 'less'} than ${sayAmount(amount.amount, amount.unit)}`,
    narrows: { by: 'amount', unit: amount.unit, more, than: amount.amount },
  };
}
