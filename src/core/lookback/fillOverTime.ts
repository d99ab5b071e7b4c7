import { addDays, type CalendarDate } from '../calendar/calendarDate';

/** What lay in the cold on a day. */
export interface FillDay {
  on: CalendarDate;
  fridge: number;
  freezer: number;
}

/**
 * Litres that lay in fridges and freezers, a day each week: by when packages came and left, as large as they are now or were at last.
 *
 * @param weeks how many, the last one ends today
 */
export function fillOverTime(
  stays: readonly { frozen: boolean; cameOn: CalendarDate; goneOn: CalendarDate | null; litres: number }[],
  today: CalendarDate,
  weeks: number,
): FillDay[] {
  return Array.from({ length: weeks }, (_, at): FillDay => {
    const on = addDays(today, -7 * (weeks - 1 - at));
    const day = { on, fridge: 0, freezer: 0 };
    for (const { frozen, cameOn, goneOn, litres } of stays)
      if (cameOn <= on && (goneOn === null || goneOn > on)) day[frozen ? 'freezer' : 'fridge'] += litres;
    return { on, fridge: Math.round(day.fridge * 10) / 10, freezer: Math.round(day.freezer * 10) / 10 };
  });
}
