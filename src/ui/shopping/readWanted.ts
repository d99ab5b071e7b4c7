import { findFood } from '@/core/foods/findFood';
import type { PackSize, ShoppingLine } from '@/core/model/kept';
import { parseQuickLine } from '@/core/quickline/parseQuickLine';
import type { KnownVocabulary } from '../quickline/useVocabulary';

/** What is to be bought or kept, as typed. */
export type Wanted = Pick<ShoppingLine, 'food' | 'called' | 'packs' | 'size'>;

const COUNT = /^\s*(\d{1,3})\s*(?:x|×)?\s+(?=\p{L})/iu;

/**
 * Reads "2 x 1 l milk", "lemons 6", "3 mince 500 g", "butter" and "dishwasher salt": with the grammar of the quick line where it
 * names a food, else as the words that they are. Never throws.
 */
export function readWanted(text: string, vocabulary: KnownVocabulary): Wanted {
  const words = text.trim();
  const reading = parseQuickLine(words, { ...vocabulary, placedLater: true });
  const { line } = reading;
  if (line && !reading.ownFood) {
    const packs = Math.max(1, line.packs);
    const size: PackSize = { amount: Math.max(1, Math.round(line.amount / packs)), unit: line.unit };
    return { food: line.food, called: line.called, packs, size };
  }
  const count = COUNT.exec(words);
  const rest = count ? words.slice(count[0].length) : words;
  const { found } = findFood(vocabulary.foods, rest);
  const packs = count ? Math.min(200, Math.max(1, Number(count[1]))) : 1;
  return found
    ? { food: found.id, called: found.name, packs, size: null }
    : { food: null, called: words.slice(0, 80), packs: 1, size: null };
}
