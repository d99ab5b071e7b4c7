import { sayAmount } from '@/core/units/sayAmount';

/** "€ 12.40"; '' where no price is known. */
export function sayMoney(minor: number, currency: string): string {
  if (minor === 0) return '';
  return new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(minor / 100);
}

/** Weight and value of some packages, as far as they are known. */
export function sayWorth(
  things: readonly { amount: number; unit: 'g' | 'ml' | 'pc'; price_minor: number | null }[],
  currency: string,
): string {
  const words = (['g', 'ml', 'pc'] as const).flatMap((unit) => {
    const sum = things.reduce((all, one) => all + (one.unit === unit ? one.amount : 0), 0);
    return sum === 0 ? [] : [unit === 'pc' ? `${sum} pieces` : sayAmount(sum, unit)];
  });
  const money = sayMoney(
    things.reduce((all, one) => all + (one.price_minor ?? 0), 0),
    currency,
  );
  return [...words, ...(money === '' ? [] : [money])].join(' · ');
}
