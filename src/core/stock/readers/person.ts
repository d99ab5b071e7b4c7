import { foodWords } from '../../foods/foodKey';
import { type Found, sameWords, type Word } from './askedWords';

/** Somebody of the household, or "hands off". */
export function readPerson(words: readonly Word[], people: readonly string[]): Found | null {
  for (const name of people) {
    const wanted = foodWords(name);
    const [first = ''] = wanted;
    const whole = sameWords(words, wanted);
    if (!whole && words[0]?.plain !== first) continue;
    return { length: whole ? wanted.length : 1, says: `${name}’s`, narrows: { by: 'person', whose: name } };
  }
  if (sameWords(words, ['hand', 'off']) || sameWords(words, ['promised']) || sameWords(words, ['kept']))
    return { length: words[0]?.plain === 'hand' ? 2 : 1, says: 'hands off', narrows: { by: 'handsOff' } };
  return null;
}
