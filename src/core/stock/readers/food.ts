import { foodsOfKind, foodsWithWords, nearestFoods } from '../../foods/findFood';
import { foodKey, foodWords } from '../../foods/foodKey';
import type { KindedFood } from '../asking';
import type { AskingVocabulary, Found, Word } from './askedWords';

const MOST_FOODS = 80;

/** Every food that is so called, and whatever bears the words on its label. */
function foodPart<F extends KindedFood>(
  wanted: readonly string[],
  { index, labelled }: AskingVocabulary<F>,
): Omit<Found, 'length'> | null {
  const text = wanted.join(' ');
  const exact = index.byKey.get(foodKey(text));
  const whole = foodsOfKind(index, text, MOST_FOODS);
  const found =
    exact || whole.length > 0
      ? [...(exact ? [exact] : []), ...whole]
      : foodsWithWords(index, text, MOST_FOODS);
  if (found.length === 0 && !labelled(wanted)) return null;
  const foods = new Set(found.map(({ id }) => id));
  return { says: text, narrows: { by: 'food', foods, words: wanted } };
}

/** True when the words are the whole name of a food. */
export const isExact = <F extends KindedFood>(
  words: readonly string[],
  { index }: AskingVocabulary<F>,
): boolean => index.byKey.has([...words].sort().join(' '));

/** The stretch of words from here on that are no other part, as foods: as many together as mean one. */
export function readFoods<F extends KindedFood>(
  words: readonly Word[],
  vocabulary: AskingVocabulary<F>,
): Found | null {
  for (let length = Math.min(5, words.length); length > 0; length--) {
    const part = foodPart(
      words.slice(0, length).map(({ plain }) => plain),
      vocabulary,
    );
    if (part) return { ...part, length };
  }
  const [word] = words;
  if (!word) return null;
  const near = nearestFoods(vocabulary.index, word.plain, 3);
  const [slip] = near;
  if (!slip || word.plain.length < 4) return null;
  const found = foodPart(foodWords(slip.name).slice(0, 1), vocabulary) ?? null;
  return found && { ...found, says: foodWords(slip.name)[0] ?? slip.name, length: 1, guessed: true };
}
