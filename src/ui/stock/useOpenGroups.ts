'use client';

import { useQueries } from '@tanstack/react-query';
import type { PackageView } from '@/services/stock/packageView';
import type { StockView } from '@/services/stock/stock';
import { doorClient } from '../door/doorClient';
import { fetchJson } from '../door/fetchJson';

const MOST_OF_A_GROUP = 500;

export const groupAddress = (query: string, key: string): string =>
  `/api/v1/stock?${query}${query === '' ? '' : '&'}group=${encodeURIComponent(key)}&limit=${MOST_OF_A_GROUP}`;

/** The packages of the groups that are open, by the key of the group; what is on its way is not there yet. */
export function useOpenGroups(query: string, keys: readonly string[]): ReadonlyMap<string, PackageView[]> {
  return useQueries(
    {
      queries: keys.map((key) => ({
        queryKey: [groupAddress(query, key)],
        queryFn: () => fetchJson<StockView>(groupAddress(query, key)),
      })),
      combine: (answers) =>
        new Map(
          answers.flatMap(({ data }, at) => {
            const key = keys[at];
            return data && key !== undefined ? [[key, data.packages] as const] : [];
          }),
        ),
    },
    doorClient(),
  );
}
