/** Figures a household may wish for a food: days, freezer months, and how many days ahead to be told. */
export const WISHES = [
  'fridgeDays',
  'openedDays',
  'thawedDays',
  'counterDays',
  'freezerMonths',
  'leadDays',
] as const;

export type WishKey = (typeof WISHES)[number];

/** `null`: no wish, the reference counts. */
export type Wish = Record<WishKey, number | null>;

export const NO_WISH: Wish = {
  fridgeDays: null,
  openedDays: null,
  thawedDays: null,
  counterDays: null,
  freezerMonths: null,
  leadDays: null,
};
