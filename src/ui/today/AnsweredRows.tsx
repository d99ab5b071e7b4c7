'use client';

import type { ReactNode } from 'react';
import type { SeenRow } from '@/services/today/seenToday';
import type { TodayView } from '@/services/today/today';
import { useRead } from '../door/useRead';

/** What had its answer, read when it is unfolded. */
export function AnsweredRows({ scope, item }: { scope: string; item: (row: SeenRow) => ReactNode }) {
  const { body, fault } = useRead<Pick<TodayView, 'answered'>>(
    `/api/v1/today?scope=${encodeURIComponent(scope)}`,
  );
  if (fault !== '') return <p className="px-2 text-beet">{fault}</p>;
  return (
    <ol aria-label="Answered" className="divide-y divide-line border-t border-line">
      {body?.answered.map(item)}
    </ol>
  );
}
