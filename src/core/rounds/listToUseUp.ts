import { addDays, type CalendarDate } from '../calendar/calendarDate';
import type { Looked } from '../model/round';
import { type Edible, type MayEat, mayOffer } from '../keeping/mayEat';
import type { StockRow } from '../stock/stockRow';

/** Something to be eaten this week, and why. */
export interface UseUp<Row> {
  row: Row;
  why: 'found' | 'due';
}

const WEEK_DAYS = 7;

/**
 * The week's use-up list: exactly what a round found turning, and what passes its date within seven days; in first-out order. What is
 * to be thrown out is on no list of food.
 *
 * @param rows in first-out order
 */
export function listToUseUp<Row extends Edible & Pick<StockRow, 'governingDate' | 'governingKind'>>(
  rows: readonly Row[],
  looked: ReadonlyMap<string, Pick<Looked, 'finding'>>,
  today: CalendarDate,
  mayEat: MayEat,
): UseUp<Row>[] {
  const last = addDays(today, WEEK_DAYS - 1);
  return rows.flatMap((row): UseUp<Row>[] => {
    if (!mayOffer(mayEat(row))) return [];
    if (looked.get(row.id)?.finding === 'turning') return [{ row, why: 'found' }];
    return row.governingDate <= last ? [{ row, why: 'due' }] : [];
  });
}
