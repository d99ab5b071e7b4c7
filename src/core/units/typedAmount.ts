import { amountFault, readAmount, type UnitSystem } from './readAmount';
import type { AmountUnit } from './sayAmount';
import { numberValue } from './numberValue';

/** What a bare number means in a field, by the unit of what is counted. */
const BARE: Readonly<Record<AmountUnit, Readonly<Record<UnitSystem, string>>>> = {
  g: { metric: 'g', us: 'oz' },
  ml: { metric: 'ml', us: 'fl oz' },
  pc: { metric: 'pieces', us: 'pieces' },
};

/** The unit a bare number is in: "g" or "oz", "pieces". */
export const bareUnit = (unit: AmountUnit, system: UnitSystem): string => BARE[unit][system];

/**
 * An amount typed into a field: "400", "400 g", "1 1/2 lb", "0,5 l". A bare number is in the household's small unit.
 *
 * @param unit what the thing is measured in; another kind of measure is a fault
 * @returns whole grams, millilitres or pieces, or what is wrong in words
 */
export function typedAmount(
  text: string,
  unit: AmountUnit,
  system: UnitSystem,
): { amount: number; fault: '' } | { amount: null; fault: string } {
  const [, figure = '', word = ''] =
    /^([\d.,/\s]*[\d½⅓⅔¼¾])\s*([\p{L}][\p{L}.\s]*)?$/u.exec(text.trim()) ?? [];
  const value = figure === '' ? Number.NaN : numberValue(figure);
  if (!Number.isFinite(value)) return { amount: null, fault: 'How much? A number, such as 300 or 1.5.' };
  const named = word.trim().replace(/\s+/g, ' ');
  const read = readAmount(value, named === '' ? bareUnit(unit, system) : named, system);
  if (read?.unit !== unit)
    return { amount: null, fault: `“${named}” does not measure it: say it in ${bareUnit(unit, system)}.` };
  const fault = amountFault(read.amount, unit);
  return fault ? { amount: null, fault } : { amount: read.amount, fault: '' };
}
