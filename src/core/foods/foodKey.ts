import pluralize from 'pluralize';

const singularOf = new Map<string, string>();

/** One word without case, accents and plural. Cached, since the same few hundred words come again and again. */
function plainWord(word: string): string {
  let plain = singularOf.get(word);
  if (plain === undefined) {
    plain = pluralize.singular(word.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase());
    if (singularOf.size < 20_000) singularOf.set(word, plain);
  }
  return plain;
}

/** The words of a name in plain form and their own order. */
export function foodWords(name: string): string[] {
  return (name.replace(/['’](?=s(?!\p{L}))/gu, '').match(/[\p{L}\p{N}%]+/gu) ?? []).map(plainWord);
}

/**
 * The key under which a food's name is found: case, accents, plurals, punctuation and word order are forgiven, so
 * "minced venison" and "Venison, minced" share one.
 */
export function foodKey(name: string): string {
  return foodWords(name).sort().join(' ');
}
