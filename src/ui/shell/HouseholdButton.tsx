'use client';

import Link from 'next/link';
import { useState } from 'react';
import type { Shell } from '@/services/today/shell';

/** Whose kitchen this is, and the other one in one press. */
export function HouseholdButton({
  shell,
}: {
  shell: Pick<Shell, 'household' | 'other' | 'person' | 'role'>;
}) {
  const [busy, setBusy] = useState(false);
  const { household, other, person, role } = shell;
  const change = (): void => {
    if (!other) return;
    setBusy(true);
    void import('../start/switchHousehold')
      .then(({ switchHousehold }) => switchHousehold({ choose: other.id }))
      .catch(() => setBusy(false));
  };
  return (
    <div className="flex items-center gap-2 text-[0.95rem]">
      <Link
        href="/kitchen/household"
        className="flex min-h-11 items-center font-heading font-semibold"
        aria-label={`Household ${household.name}${person ? `, ${person}` : ''}`}
      >
        {household.name}
        {person && (
          <span className="ml-1.5 font-text font-normal text-slate max-[1399px]:lg:hidden">{person}</span>
        )}
      </Link>
      {role === 'reader' && (
        <span className="rounded-part bg-tape px-2 py-1 text-tape-ink">You look only</span>
      )}
      {other ? (
        <button
          type="button"
          className="flex min-h-11 items-center px-1 text-deep underline underline-offset-4"
          disabled={busy}
          onClick={change}
        >
          {busy ? 'Going …' : `To ${other.name}`}
        </button>
      ) : (
        household.demo && (
          <Link
            href="/start"
            className="flex min-h-11 items-center px-1 text-deep underline underline-offset-4"
          >
            Move in
          </Link>
        )
      )}
    </div>
  );
}
