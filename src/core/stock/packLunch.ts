import type { CalendarDate } from '../calendar/calendarDate';
import { isNotFor } from '../foods/forWhom';
import type { Food, Marks } from '../model/food';
import { needsCooking } from '../foods/needsCooking';
import type { MayEat } from '../keeping/mayEat';
import slots from './lunchSlots.json';
import type { StockRow } from './stockRow';

/** What a lunch is packed from: one pick of each. */
export interface LunchSlot {
  id: string;
  name: string;
  groups: readonly string[];
  foods: readonly string[];
  /** Foods of its groups that are no meal by themselves. */
  not?: readonly string[];
  portion: Readonly<Record<StockRow['unit'], number>>;
}
export const LUNCH_SLOTS: readonly LunchSlot[] = slots;

/** A package that may go into a lunch. */
export interface LunchOption {
  row: StockRow;
  /** How much of it is one portion, in its unit; all of it when it holds less. */
  portion: number;
  /** Names of those whom it is not for (K14). */
  notFor: readonly string[];
}

/** One thing for one person; `null`: there is nothing (left) of the kind. */
export interface LunchPick {
  person: string;
  slot: string;
  option: LunchOption | null;
}

/**
 * What may go into a slot, first out first: ready to eat (or cooked already), not frozen, sound, nobody else's.
 *
 * @param rows in first-out order
 */
export function lunchOptions(
  rows: readonly StockRow[],
  slot: LunchSlot,
  foodOf: (id: string) => Pick<Food, 'id' | 'group' | 'readiness' | 'copyOf' | 'notFor'> | undefined,
  today: CalendarDate,
  mayEat: MayEat,
  marks: Marks = {},
): LunchOption[] {
  const eaters = Object.entries(marks);
  return rows.flatMap((row) => {
    const food = foodOf(row.foodId);
    if (!food || row.state === 'frozen' || row.state === 'thawing' || row.handsOff) return [];
    if (row.governingDate < today || mayEat(row).may !== 'eat') return [];
    const raw = needsCooking(food);
    const id = food.copyOf ?? food.id;
    if (raw || slot.not?.includes(id) || !(slot.groups.includes(food.group) || slot.foods.includes(id)))
      return [];
    const notFor = eaters.flatMap(([name, risks]) => (isNotFor(food, risks) ? [name] : []));
    return [{ row, portion: Math.min(row.amount, slot.portion[row.unit]), notFor }];
  });
}

/**
 * Packs lunches: for every person one pick from each slot, the oldest first, what is somebody's own only for them and before all
 * else; nothing is promised twice, and nobody gets the same thing twice.
 *
 * @param passed how many of the first offers somebody did not want, by "person slot"
 */
export function packLunch(
  options: ReadonlyMap<string, readonly LunchOption[]>,
  people: readonly string[],
  passed: Readonly<Record<string, number>> = {},
): LunchPick[] {
  const left = new Map<string, number>();
  const remaining = ({ row }: LunchOption): number => left.get(row.id) ?? row.amount;
  return people.flatMap((person) => {
    const has = new Set<string>();
    return [...options.entries()].map(([slot, offered]): LunchPick => {
      const own = offered.filter(({ row }) => row.whose !== '' && row.whose === person);
      const anybodys = offered.filter(({ row }) => row.whose === '');
      const fit = [...own, ...anybodys].filter(
        (option) =>
          !option.notFor.includes(person) && !has.has(option.row.id) && remaining(option) >= option.portion,
      );
      const option = fit.length === 0 ? null : (fit[(passed[`${person} ${slot}`] ?? 0) % fit.length] ?? null);
      if (option) {
        left.set(option.row.id, remaining(option) - option.portion);
        has.add(option.row.id);
      }
      return { person, slot, option };
    });
  });
}
