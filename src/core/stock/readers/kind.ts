import kinds from '../askedKinds.json';
import type { KindedFood } from '../asking';
import { type AskingVocabulary, type Found, sameWords, type Word } from './askedWords';

interface Kind {
  says: string;
  words: string[];
  groups?: string[];
  tags?: string[];
  readiness?: string[];
  without?: string[];
  /** Foods that count besides, by id. */
  also?: string[];
  ready?: boolean;
}

const isKind = (food: KindedFood, kind: Kind): boolean =>
  ((kind.groups?.includes(food.group) ?? true) || (kind.also?.includes(food.copyOf ?? food.id) ?? false)) &&
  (kind.tags?.some((tag) => food.dietTags.includes(tag)) ?? true) &&
  (kind.readiness?.includes(food.readiness) ?? true) &&
  !(kind.without?.some((tag) => food.dietTags.includes(tag)) ?? false);

/** "raw meat", "fish", "lunch": the longest of the kinds that the words name. */
export function readKind<F extends KindedFood>(
  words: readonly Word[],
  { index }: AskingVocabulary<F>,
): Found | null {
  let best: Found | null = null;
  for (const kind of kinds as Kind[])
    for (const words_ of kind.words) {
      const wanted = words_.split(' ');
      if (wanted.length <= (best?.length ?? 0) || !sameWords(words, wanted)) continue;
      const foods = [...index.byId.values()].filter((food) => isKind(food, kind));
      const by = kind.ready ? 'ready' : kind.readiness || kind.without ? 'trait' : 'kind';
      best = {
        length: wanted.length,
        says: kind.says,
        narrows: { by, foods: new Set(foods.map(({ id }) => id)) },
      };
    }
  return best;
}
