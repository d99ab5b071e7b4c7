import type { Grouping } from '@/core/stock/groupStock';

/** What narrows the list and what it is counted by, as it stands in the address. */
export interface StockFilters {
  q: string;
  state: string;
  zone: string;
  by: Grouping;
}

export const GROUPING_WORDS = [
  ['food', 'Food'],
  ['pack', 'Meal pack'],
  ['zone', 'Zone'],
  ['band', 'Date band'],
  ['person', 'Person'],
] as const satisfies readonly (readonly [Grouping, string])[];

/** The filters as the query of an address; what is as usual is left out. */
export function stockQuery({ q, state, zone, by }: StockFilters): string {
  const told: [string, string][] = [
    ['q', q.trim()],
    ['state', state],
    ['zone', zone],
    ['by', by === 'food' ? '' : by],
  ];
  return new URLSearchParams(told.filter(([, value]) => value !== '')).toString();
}
