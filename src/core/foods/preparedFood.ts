import type { Food } from '../model/food';
import prepared from './preparedWords.json';

const WORDS: Readonly<Record<'cut' | 'cooked' | 'homeMade', ReadonlySet<string>>> = {
  cut: new Set(prepared.cut),
  cooked: new Set(prepared.cooked),
  homeMade: new Set(prepared.homeMade),
};

/** True for a word that makes another food of what it stands beside. */
export const isPreparedWord = (word: string): boolean => WORDS.cut.has(word) || WORDS.cooked.has(word);

const wordsIn = (text: string): string[] => text.toLowerCase().match(/[\p{L}-]+/gu) ?? [];

/** True when words say that it was made at home: it has no maker's days (K3b). */
export const saysHomeMade = (text: string): boolean => wordsIn(text).some((word) => WORDS.homeMade.has(word));

/** True when words say that it was sold over a counter, without a maker's pack (K3b). */
export const saysLoose = (text: string): boolean =>
  wordsIn(text).some((word) => prepared.loose.includes(word));

type Knows = Pick<Food, 'id'> & Partial<Pick<Food, 'outageClass' | 'group' | 'readiness'>>;

/** The row for produce that is cut, and for what is cooked of it, by what it is whole. */
function rowFor({ id, outageClass, group, readiness }: Knows, cut: boolean, cooked: boolean): string | null {
  if (cooked && readiness === 'needs-wash' && group === 'vegetable') return prepared.rows.cookedVegetable;
  if (cooked && readiness === 'needs-wash' && group === 'fruit') return prepared.rows.cookedFruit;
  if (!cut) return null;
  if (id === 'tomatoes') return prepared.rows.cutTomato;
  if (outageClass === 'whole-fruit' && readiness === 'needs-wash') return prepared.rows.cutFruit;
  if (outageClass === 'raw-vegetables' && group === 'vegetable' && readiness === 'needs-wash')
    return prepared.rows.cutVegetable;
  return null;
}

/**
 * The row that a food is kept by when words say that it was cut, grated, peeled or cooked: those change everything, and the short row
 * counts (L3b). The food itself, where they do not.
 *
 * @param words as on the label: "Cubed watermelon", "leftover pumpkin" @param byId looks up a row; nothing: there is none
 */
export function preparedFood<F extends Knows>(
  food: F,
  words: string,
  byId: (id: string) => F | undefined,
): F {
  const said = wordsIn(words);
  const grated = said.some((word) => prepared.grated.includes(word));
  const made = (prepared.rows.homeMade as Readonly<Record<string, string>>)[food.id];
  const row =
    made !== undefined && said.some((word) => WORDS.homeMade.has(word))
      ? made
      : grated && prepared.rows.gratable.includes(food.id)
        ? prepared.rows.gratedCheese
        : food.id === 'eggs-in-shell' && said.includes('peeled')
          ? prepared.rows.peeledEggs
          : rowFor(
              food,
              said.some((word) => WORDS.cut.has(word)),
              said.some((word) => WORDS.cooked.has(word)),
            );
  return (row === null ? undefined : byId(row)) ?? food;
}
