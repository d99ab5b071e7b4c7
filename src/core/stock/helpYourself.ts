import type { Food } from '../model/food';
import type { MayEat } from '../keeping/mayEat';
import type { StockRow } from './stockRow';

/** What may be taken without asking: ready to eat, cold, safe, and nobody said hands off. */
export function helpYourself<Row extends StockRow>(
  rows: readonly Row[],
  foodOf: (id: string) => Food | undefined,
  today: string,
  mayEat: MayEat,
): Row[] {
  return rows.filter((row) => {
    const { foodId, state, handsOff, governingDate } = row;
    const food = foodOf(foodId);
    const eatable =
      food?.readiness === 'ready-to-eat' || food?.readiness === 'needs-wash' || food?.group === 'leftovers';
    return (
      eatable &&
      state !== 'frozen' &&
      state !== 'thawing' &&
      mayEat(row).may === 'eat' &&
      !handsOff &&
      governingDate >= today
    );
  });
}
