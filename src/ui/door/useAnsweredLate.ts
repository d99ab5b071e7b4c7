'use client';

import type { QueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import type { DoorAnswer, Sending } from './doorClient';

/** Hears of answers to what was told before this page was loaded: nobody else on it waits for them. */
export function useAnsweredLate(client: QueryClient, tell: (says: string, failed: boolean) => void): void {
  const hear = useRef(tell);
  useEffect(() => {
    hear.current = tell;
  });
  useEffect(
    () =>
      client.getMutationCache().subscribe((event) => {
        if (event.type !== 'updated' || !(event.mutation.state.variables as Sending | undefined)?.fromBefore)
          return;
        if (event.action.type === 'success')
          hear.current((event.action.data as DoorAnswer[]).map(({ says }) => says).join(' '), false);
        if (event.action.type === 'error') hear.current(event.action.error.message, true);
      }),
    [client],
  );
}
