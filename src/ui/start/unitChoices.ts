/** How a household may measure, and write tenths and dates in figures. */
export const UNIT_CHOICES = [
  ['metric', 'Grams, litres, °C'],
  ['us', 'Pounds, cups, °F'],
] as const;

export const DECIMAL_CHOICES = [
  ['point', '1.5: a point'],
  ['comma', '1,5: a comma'],
] as const;

export const DATE_CHOICES = [
  ['dmy', '25/11: the day first'],
  ['mdy', '11/25: the month first'],
] as const;

export const HEMISPHERE_CHOICES = [
  ['north', 'Summer in June'],
  ['south', 'Summer in December'],
] as const;
