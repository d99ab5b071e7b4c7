'use client';

import { useMutationState } from '@tanstack/react-query';
import { CloudOff } from 'lucide-react';
import { doorClient, type Sending, SENDING } from './doorClient';

/** How many things wait for an answer that was lost, or for the server to be there again. */
function useUnanswered(): number {
  const told = useMutationState(
    {
      filters: { mutationKey: SENDING, status: 'pending' },
      select: ({ state }) => {
        const { sent = 0 } = (state.variables ?? {}) as Partial<Sending>;
        return { again: sent > 1 || state.failureCount > 0 };
      },
    },
    doorClient(),
  );
  return told.some(({ again }) => again) ? told.length : 0;
}

/** Says that it is not known yet whether what was told was done. It stays until it is known. */
export function StillAsking() {
  const count = useUnanswered();
  if (count === 0) return null;
  return (
    <p className="pointer-events-auto flex max-w-2xl items-center gap-3 rounded-part border-l-8 border-honey bg-snow px-4 py-3 text-[0.95rem] text-ink shadow-lg">
      <CloudOff aria-hidden size={20} className="shrink-0" />
      <span>
        <b className="font-semibold">Not known yet, asking again.</b> The kitchen server has not answered{' '}
        {count === 1 ? 'the last thing you told it' : `the last ${count} things you told it`}. It is kept
        here, also when you close this page, and never done twice.
      </span>
    </p>
  );
}

/** What was told and is not answered yet, in the order it was told. */
export function usePending(): Sending[] {
  return useMutationState(
    {
      filters: { mutationKey: SENDING, status: 'pending' },
      select: ({ state }) => state.variables as Sending | undefined,
    },
    doorClient(),
  ).filter((sending) => sending !== undefined);
}
