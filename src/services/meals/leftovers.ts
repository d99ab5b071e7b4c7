import { isMain, isSide } from '@/core/meals/mealKind';
import { sayDueDate } from '@/core/calendar/sayDate';
import { sayAmount } from '@/core/units/sayAmount';
import type { HouseholdContext } from '../household/context';
import { readStockRows } from '../stock/stockRows';

/** Something cooked and cold that a dinner may be put together from. */
export interface LeftoverView {
  package: string;
  code: string;
  version: number;
  called: string;
  amount: number;
  amount_words: string;
  group: string;
  zone: string;
  due_words: string;
  main: boolean;
}

const MOST = 40;

/** What is cooked, in the fridge, sound and free, first out first. */
export async function readLeftovers({
  household,
  reference,
  today,
  mayEat,
}: HouseholdContext): Promise<LeftoverView[]> {
  const rows = await readStockRows(household, today);
  return rows
    .flatMap((row): LeftoverView[] => {
      const food = reference.byId.get(row.foodId);
      if (!food || row.state !== 'chilled' || row.zoneId === null || row.handsOff) return [];
      if (mayEat(row).may !== 'eat' || row.governingDate < today || row.unit === 'pc' || row.whose !== '')
        return [];
      const cooked = food.readiness === 'ready-to-eat' || food.group === 'leftovers';
      if (!cooked || !(isMain(food) || isSide(food))) return [];
      return [
        {
          ...{ package: row.id, code: row.code, version: row.version, called: row.called },
          ...{ amount: row.amount, amount_words: sayAmount(row.amount, row.unit) },
          ...{ group: food.group, zone: row.zoneId, due_words: sayDueDate(row.governingDate, today) },
          main: isMain(food),
        },
      ];
    })
    .slice(0, MOST);
}
