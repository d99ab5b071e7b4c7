import type { PackageView } from '../stock/packageView';

export interface CounterItem extends Pick<
  PackageView,
  'id' | 'code' | 'version' | 'amount_words' | 'controlled' | 'state'
> {
  food: string;
  /** Safe minutes that are left; `null` for food that may stand out. */
  minutes_left: number | null;
}

/** What stands on the counter with its safe minutes (K10), the most pressing first. */
export function toCounter(views: readonly PackageView[]): CounterItem[] {
  return views
    .filter((view) => view.counter_since !== null)
    .map((view): CounterItem => ({
      id: view.id,
      code: view.code,
      version: view.version,
      food: view.food.name,
      amount_words: view.amount_words,
      controlled: view.controlled,
      state: view.state,
      minutes_left: view.minutes_left,
    }))
    .sort((a, b) => (a.minutes_left ?? 9999) - (b.minutes_left ?? 9999));
}
