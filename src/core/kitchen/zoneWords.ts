/** Words a zone's "only" and "never" are picked from: what food contains, what it is, how it was prepared. */
export const ZONE_WORDS = [
  'raw',
  'ready-to-eat',
  'leftovers',
  'dairy',
  'egg',
  'meat',
  'fish',
  'shellfish',
  'vegetarian',
  'vegan',
  'fruit',
  'vegetable',
  'herb',
  'bread-bake',
  'drink',
  'pet',
] as const;

/** Purposes offered by picking; the cook's own words do as well. */
export const PURPOSES = [
  'leftovers',
  'use-up bin',
  'dinner bin',
  'lunch station',
  'salad shelf',
  'smoothie kit',
  'help yourself',
  'backups',
  'dairy and eggs',
  'raw, in the tray',
  'leaves, humid',
  'fruit, dry',
  'bottles',
  'sauces',
  'bread',
  'taken every week',
  'long keepers',
  'pet food',
] as const;

/**
 * Why a zone's own rules would let nothing in, as a sentence; `null` when something may.
 *
 * Every "only" word must be left standing by "never": "only dairy, never dairy" and "only vegan, never vegetarian" are refused.
 */
export function clashingWords(only: readonly string[], never: readonly string[]): string | null {
  const told = (words: readonly string[]): string[] => words.map((word) => word.trim().toLowerCase());
  const [wanted, barred] = [told(only), told(never)];
  const shut = (word: string): boolean =>
    barred.includes(word) || (word === 'vegan' && barred.includes('vegetarian'));
  if (wanted.length > 0 && wanted.every(shut))
    return `“only ${wanted.join(', ')}” and “never ${barred.join(', ')}”.`;
  return null;
}
