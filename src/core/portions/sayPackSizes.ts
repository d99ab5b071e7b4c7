import { type AmountUnit, sayAmount } from '../units/sayAmount';
import { splitEvenly } from './splitEvenly';

/** The sizes an amount splits into, exactly: "400 g", or "557 g to 558 g" where they differ by one. */
export function sayPackSizes(total: number, packs: number, unit: AmountUnit): string {
  const sizes = splitEvenly(total, packs);
  const least = sizes[0] ?? 0;
  const most = sizes.at(-1) ?? 0;
  return least === most ? sayAmount(least, unit) : `${sayAmount(least, unit)} to ${sayAmount(most, unit)}`;
}
