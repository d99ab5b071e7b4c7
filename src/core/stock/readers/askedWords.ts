import type { CalendarDate } from '../../calendar/calendarDate';
import type { FoodIndex } from '../../foods/findFood';
import type { AskedZone, KindedFood, Narrowing } from '../asking';

/** All that reading an asking needs from outside. */
export interface AskingVocabulary<F extends KindedFood> {
  today: CalendarDate;
  index: FoodIndex<F>;
  zones: readonly AskedZone[];
  people: readonly string[];
  /** Words that stand on labels of what is here. */
  labelled: (words: readonly string[]) => boolean;
  /** A package that is here carries this code. */
  coded: (code: string) => boolean;
}

/** A word of the asking in plain form, and where it stands. */
export interface Word {
  plain: string;
  from: number;
  to: number;
}

/** What some words from here on mean. */
export interface Found {
  length: number;
  says: string;
  narrows: Narrowing;
  guessed?: boolean;
}

/** True when the words from here on are these. */
export const sameWords = (words: readonly Word[], wanted: readonly string[]): boolean =>
  wanted.length > 0 && wanted.length <= words.length && wanted.every((want, at) => words[at]?.plain === want);
