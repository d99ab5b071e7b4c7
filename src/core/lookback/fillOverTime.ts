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
  const days = Array.from({ length: weeks }, (_, at) => addDays(today, -7 * (weeks - 1 - at)));
  // Twenty thousand packages came and left on a few hundred days: each day is looked up once.
  const places = new Map<CalendarDate, number>();
  const firstFrom = (on: CalendarDate): number => {
    const known = places.get(on);
    if (known !== undefined) return known;
    const at = days.findIndex((day) => day >= on);
    const place = at < 0 ? weeks : at;
    places.set(on, place);
    return place;
  };
  const changes = { fridge: new Float64Array(weeks + 1), freezer: new Float64Array(weeks + 1) };
  for (const { frozen, cameOn, goneOn, litres } of stays) {
    const its = changes[frozen ? 'freezer' : 'fridge'];
    const [from, until] = [firstFrom(cameOn), goneOn === null ? weeks : firstFrom(goneOn)];
    its[from] = (its[from] ?? 0) + litres;
    its[until] = (its[until] ?? 0) - litres;
  }
  let [fridge, freezer] = [0, 0];
  const tenths = (litres: number): number => Math.round(litres * 10) / 10;
  return days.map((on, at): FillDay => {
    fridge += changes.fridge[at] ?? 0;
    freezer += changes.freezer[at] ?? 0;
    return { on, fridge: tenths(fridge), freezer: tenths(freezer) };
  });
}
