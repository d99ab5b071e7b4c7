const FRACTIONS: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
};

/** The value of a number as written: 1.5, 1,5, 1/2, ½, 1 ½. @param thousands what 1.000 may mean: a thousand */
export function numberValue(text: string, thousands = false): number {
  const sign = /[½⅓⅔¼¾]$/.exec(text)?.[0];
  if (sign) return Number(text.slice(0, -1).trim() || 0) + (FRACTIONS[sign] ?? 0);
  const fraction = /^(?:(\d+)\s)?(\d)\/(\d)$/.exec(text);
  if (fraction) return Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]);
  if (thousands && /^\d{1,3}[.,]\d{3}$/.test(text)) return Number(text.replace(/[.,]/, ''));
  return Number(text.replace(',', '.'));
}
