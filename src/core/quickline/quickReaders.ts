import type { Reader } from './quickDraft';
import { readAmountWords, readPacks } from './readers/amount';
import { readForm } from './readers/form';
import { readBareDate, readBoughtFrozen, readHappened } from './readers/happened';
import { readPerson } from './readers/person';
import { readBarePlace, readPlace } from './readers/place';
import { readPrice } from './readers/price';
import { readPrinted } from './readers/printed';

/** In the order in which they are tried; the first that takes a token keeps it. */
export const READERS: readonly Reader[] = [
  readPrinted,
  readPrice,
  readPacks,
  readPlace,
  readBoughtFrozen,
  readHappened,
  readPerson,
  readBareDate,
  readAmountWords,
  readBarePlace,
  readForm,
];
