/** Best places in plain words. */
export const HOME_WORDS: Readonly<Record<string, string>> = {
  'fridge-upper': 'upper fridge shelf',
  'fridge-middle': 'middle fridge shelf',
  'fridge-lower-back': 'lower fridge shelf, at the back',
  door: 'fridge door',
  'crisper-high': 'crisper, humid (for leaves)',
  'crisper-low': 'crisper, dry (for fruit)',
  freezer: 'freezer',
  counter: 'counter',
  cupboard: 'cupboard',
};

export const FIT_WORDS: Readonly<Record<string, string>> = {
  good: 'freezes well',
  fair: 'freezes fairly well',
  poor: 'freezes poorly: for cooking only afterwards',
  no: 'does not freeze',
};

/** "raw-meat" as "Raw meat". */
export function sayGroup(group: string): string {
  const words = group.replaceAll('-', ' ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** A range of days or months with what it counts; `null`: the reference has no figure. */
export function sayRange(least: number | null, most: number | null, unit: string): string | null {
  if (most === null) return null;
  return `${least !== null && least !== most ? `${least} to ${most}` : most} ${most === 1 ? unit : `${unit}s`}`;
}
