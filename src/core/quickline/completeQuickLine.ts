import { foodsWithWords, type NamedFood } from '../foods/findFood';
import { isUnit } from '../units/readAmount';
import type { QuickVocabulary } from './quickLine';
import { FORM_WORDS, HAPPENED_WORDS, PRINTED_WORDS, WRAP_WORDS } from './quickWords';

/** Short forms are understood, not offered. */
const SHORT = /^(?:vac|vacpacked|vacuum-packed|ub|bb|bbe|bbd|bbf|exp|useby|got|froze|cube)$/;

const DETAIL_WORDS = [
  ...Object.keys(HAPPENED_WORDS),
  ...Object.keys(PRINTED_WORDS),
  ...Object.keys(FORM_WORDS),
  ...Object.keys(WRAP_WORDS),
].filter((word) => !SHORT.test(word));

/**
 * Ways to finish the line at its end: foods while only the food stands there, zones after `>`, else the words of the
 * line. Each is the whole line as it would then read, best first.
 */
export function completeQuickLine<F extends NamedFood>(
  text: string,
  vocabulary: QuickVocabulary<F>,
  most = 6,
): string[] {
  const place = /^(.*[>→]\s*)([^>→/@,]*)$/.exec(text);
  if (place) {
    const [, lead = '', typed = ''] = place;
    const wanted = typed.trim().toLowerCase();
    return vocabulary.zones
      .filter((zone) => `${zone.name} ${zone.appliance}`.toLowerCase().includes(wanted))
      .slice(0, most)
      .map((zone) => {
        const twins = vocabulary.zones.filter(({ name }) => name === zone.name).length > 1;
        return `${lead}${zone.name.toLowerCase()}${twins ? ` ${zone.appliance.toLowerCase()}` : ''} `;
      });
  }
  if (/^[^\d/@,]+$/.test(text)) {
    const foods = foodsWithWords(vocabulary.foods, text, most);
    if (foods.length > 0) return foods.map((food) => `${food.name.toLowerCase().replaceAll(',', '')} `);
  }
  const word = /([\p{L}-]+)$/u.exec(text)?.[1];
  if (!word || isUnit(word)) return [];
  const lead = text.slice(0, text.length - word.length);
  return DETAIL_WORDS.filter((known) => known.startsWith(word.toLowerCase()) && known !== word.toLowerCase())
    .slice(0, most)
    .map((known) => `${lead}${known} `);
}
