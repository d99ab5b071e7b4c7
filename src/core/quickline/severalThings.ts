import type { NamedFood } from '../foods/findFood';
import { parseQuickLine } from './parseQuickLine';
import type { QuickReading, QuickVocabulary } from './quickLine';

const BETWEEN = /\s*(?:[,;]|\s(?:and|plus|&)\s)\s*/i;
const MOST_THINGS = 12;

/**
 * Several things told in one line ("milk 2 l, a dozen eggs and butter 250 g"), each as it is read by itself.
 *
 * @returns empty when it is one thing, or a part of it cannot be read
 */
export function severalThings<F extends NamedFood>(
  text: string,
  vocabulary: QuickVocabulary<F>,
): QuickReading[] {
  const parts = text.split(BETWEEN).filter((part) => part.trim() !== '');
  if (parts.length < 2 || parts.length > MOST_THINGS) return [];
  const readings = parts.map((part) => parseQuickLine(part, vocabulary));
  return readings.every(({ line }) => line !== null) ? readings : [];
}
