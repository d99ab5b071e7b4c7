import type { DiscardReason } from '@/core/model/package';

/** Why something is thrown out, as buttons say it. */
export const DISCARD_WORDS: Record<DiscardReason, string> = {
  'past-date': 'Past its date',
  spoiled: 'Spoiled',
  'freezer-burnt': 'Freezer burnt',
  'power-cut': 'Power cut',
  unwanted: 'Nobody wanted it',
  unknown: 'Nobody knows what it is',
};
