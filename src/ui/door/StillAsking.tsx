'use client';

import { useMutationState } from '@tanstack/react-query';
import { CloudOff } from 'lucide-react';
import { useState } from 'react';
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

const idsOf = (sending: Sending | undefined): string[] =>
  sending ? sending.commands.map(({ id }) => id) : [];

/**
 * What was told and is not in what the page was given, in the order it was told: unanswered, or answered since that came.
 * Without the second the page would for a moment show the house as it was before.
 */
export function useUnseen(given: object): Sending[] {
  const told = useMutationState(
    {
      filters: {
        mutationKey: SENDING,
        predicate: ({ state }) => state.status === 'pending' || state.status === 'success',
      },
      select: ({ state }) => ({
        sending: state.variables as Sending | undefined,
        answered: state.status === 'success',
      }),
    },
    doorClient(),
  );
  const answered = told.flatMap(({ sending, answered: known }) => (known ? idsOf(sending) : []));
  const [seen, setSeen] = useState({ given, ids: answered });
  if (seen.given !== given) setSeen({ given, ids: answered });
  return told.flatMap(({ sending, answered: known }) =>
    sending && !(known && idsOf(sending).every((id) => seen.ids.includes(id))) ? [sending] : [],
  );
}
