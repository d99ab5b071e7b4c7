export const AMOUNT_UNITS = ['g', 'ml', 'pc'] as const;
export type AmountUnit = (typeof AMOUNT_UNITS)[number];

function trimmed(value: number): string {
  return value.toFixed(value >= 10 ? 1 : 2).replace(/\.?0+$/, '');
}

/** "400 g", "1.6 kg", "750 ml", "2 l", "14". */
export function sayAmount(amount: number, unit: AmountUnit): string {
  if (unit === 'pc') return String(amount);
  if (amount < 1000) return `${amount} ${unit}`;
  return `${trimmed(amount / 1000)} ${unit === 'g' ? 'kg' : 'l'}`;
}

/** A price in minor units with its currency, as the household writes it. */
export function sayMoney(minor: number, currency: string): string {
  return new Intl.NumberFormat('en-IE', { style: 'currency', currency }).format(minor / 100);
}
