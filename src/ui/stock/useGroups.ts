'use client';

import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import type { GroupsView } from '@/services/stock/stockGroups';
import { doorClient } from '../door/doorClient';
import { fetchJson } from '../door/fetchJson';

const PAGE = 200;

/** Groups of the stock, page by page, read again whenever something went through the door. @param first what the page came with */
export function useGroups(query: string, first: { query: string; view: GroupsView }) {
  const { data, hasNextPage, isFetching, fetchNextPage, error } = useInfiniteQuery(
    {
      queryKey: ['stock groups', query],
      queryFn: ({ pageParam }) =>
        fetchJson<GroupsView>(`/api/v1/stock/groups?${query}&from=${pageParam}&limit=${PAGE}`),
      initialPageParam: 0,
      getNextPageParam: (last, pages) => {
        const told = pages.reduce((sum, { groups }) => sum + groups.length, 0);
        return last.groups.length > 0 && told < last.count ? told : null;
      },
      placeholderData: keepPreviousData,
      ...(query === first.query
        ? { initialData: { pages: [first.view], pageParams: [0] }, staleTime: 2000 }
        : {}),
    },
    doorClient(),
  );
  const pages = data?.pages ?? [];
  return {
    view: pages[0] ?? null,
    groups: pages.flatMap(({ groups }) => groups),
    fault: error instanceof Error ? error.message : '',
    more: () => {
      if (hasNextPage && !isFetching) void fetchNextPage();
    },
  };
}
