import { findFood, type NamedFood, nearestFoods } from '../foods/findFood';
import type { CalendarDate } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import { amountFault, isUnit, readAmount } from '../units/readAmount';
import type { AmountUnit } from '../units/sayAmount';
import { dateWords } from './dateWords';
import type { QuickVocabulary } from './quickLine';

/** An amount that is to be taken out, as typed. */
export interface TakeReading<F extends NamedFood> {
  foods: F[];
  amount: number;
  unit: AmountUnit;
  /** The day of the meal; `null`: not said. */
  on: CalendarDate | null;
  /** Why it cannot be taken like this; empty when it can. */
  fault: string;
  /** Lines to pick instead. */
  candidates: string[];
}

const TAKE = /^take\s+/i;
const AMOUNT = /^(\d+(?:[.,]\d+)?)(?:\s*(\p{L}+))?(?=\s|$)/u;
const MEAL = /\s+(?:(?:for|by)\s+(.+)|(tonight|today|tomorrow))$/i;

/** True for a line that takes something out. */
export const isTake = (text: string): boolean => TAKE.test(text);

/**
 * Reads "take 500 g minced venison", "take 600 g beef mince or pork mince for fri": amount, then foods that may stand in
 * for each other, then the meal's day. Never throws.
 */
export function readTake<F extends NamedFood>(text: string, vocabulary: QuickVocabulary<F>): TakeReading<F> {
  const reading: TakeReading<F> = { foods: [], amount: 0, unit: 'g', on: null, fault: '', candidates: [] };
  let rest = text.replace(TAKE, '').trim();
  const told = AMOUNT.exec(rest);
  if (!told) return { ...reading, fault: 'How much, of what? For example: take 500 g minced venison.' };
  const [, number = '', word] = told;
  const unit = word !== undefined && isUnit(word) ? word : null;
  const read = readAmount(Number(number.replace(',', '.')), unit);
  rest = rest.slice(unit === null ? number.length : told[0].length).trim();
  const fault = read ? amountFault(read.amount, read.unit) : 'That unit is not known.';
  if (!read || fault) return { ...reading, fault: fault ?? '' };
  const meal = MEAL.exec(rest);
  if (meal) {
    const day = dateWords(meal[1] ?? meal[2] ?? '', vocabulary.today, 'ahead');
    if (!day || 'missing' in day) return { ...reading, ...read, fault: 'For which day is it?' };
    if (day.date < vocabulary.today) {
      return { ...reading, ...read, fault: `${sayPlainDate(day.date)} has gone by. For which day is it?` };
    }
    reading.on = day.date;
    rest = rest.slice(0, meal.index);
  }
  for (const name of rest.split(/\s+or\s+/i)) {
    const found = findFood(vocabulary.foods, name);
    if (!('candidates' in found)) {
      reading.foods.push(found.found);
      continue;
    }
    const near = found.candidates.length > 0 ? found.candidates : nearestFoods(vocabulary.foods, name);
    const candidates = near.map((food) => text.replace(name, food.name.toLowerCase().replaceAll(',', '')));
    const says = found.reason === 'ambiguous' ? `“${name}” may be several foods.` : `“${name}” is not known.`;
    return { ...reading, ...read, fault: name === '' ? 'Of what?' : says, candidates };
  }
  return { ...reading, ...read };
}
