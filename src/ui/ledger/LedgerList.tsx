'use client';

import { useEffect, useRef, useState } from 'react';
import type { LedgerView } from '@/services/household/ledger';
import { useDoor } from '../door/useDoor';
import { fetchJson } from '../door/fetchJson';

/** Everything that happened, newest first; each line can be undone while nothing has changed since. */
export function LedgerList({ first, query = '' }: { first: LedgerView; query?: string }) {
  const { act, busy, showPackage, tell } = useDoor();
  // Pages fetched after a first page are of no use once that page is renewed.
  const [later, setLater] = useState<Pick<LedgerView, 'entries' | 'next'> & { after: LedgerView }>();
  const more = later?.after === first ? later : { entries: [], next: first.next };
  // An undo renews the first page; what was unfolded below it is fetched again, so that the place is kept.
  const unfolded = useRef(0);
  useEffect(() => {
    const count = unfolded.current;
    if (count === 0 || !first.next) return;
    const after = `after=${encodeURIComponent(first.next)}&limit=${Math.min(200, count)}`;
    fetchJson<LedgerView>(`/api/v1/ledger?${after}${query}`).then(
      (page) => setLater({ after: first, entries: page.entries, next: page.next }),
      () => undefined,
    );
  }, [first, query]);
  const entries = [...first.entries, ...more.entries];
  const { next } = more;
  if (entries.length === 0) {
    return (
      <div className="card p-8">
        <h2 className="text-xl">
          {query === '' ? 'Nothing has happened yet' : 'Nothing like that was told'}
        </h2>
        <p className="mt-2">
          {query === ''
            ? 'Whatever you store, take, freeze or bin is written down here, and can be undone from here.'
            : 'Try a food, a zone, a code or a name, or another day.'}
        </p>
      </div>
    );
  }
  return (
    <>
      <ol className="card divide-y divide-line">
        {entries.map((entry, at) => (
          <li
            key={entry.id}
            className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 gap-y-1 px-4 py-2 sm:flex"
          >
            <p className="w-36 shrink-0">
              <b className="font-heading">
                {entries[at - 1]?.day_words === entry.day_words ? '' : entry.day_words}
              </b>{' '}
              <span className="text-slate">
                {entry.time_words}
                {entry.told_by !== null && ` ${entry.told_by}`}
              </span>
            </p>
            <p
              className={`col-span-2 row-start-2 sm:min-w-56 sm:flex-1 ${entry.undone ? 'text-slate line-through' : ''}`}
            >
              {entry.says}
              {entry.note !== '' && <span className="block text-beet no-underline">{entry.note}</span>}
            </p>
            <p className="col-span-2 row-start-3 flex flex-wrap gap-1">
              {entry.codes.slice(0, 4).map((code) => (
                <button
                  key={code}
                  type="button"
                  className="button border-line"
                  onClick={() => showPackage(code)}
                  aria-label={`Open ${code}`}
                >
                  {code}
                </button>
              ))}
              {entry.codes.length > 4 && (
                <span className="self-center text-slate">+{entry.codes.length - 4}</span>
              )}
            </p>
            <p className="col-start-2 row-start-1 w-24 text-right">
              {entry.undone ? (
                <span className="text-slate">undone</span>
              ) : (
                <button
                  type="button"
                  className="button"
                  disabled={busy}
                  aria-label={`Undo: ${entry.says}`}
                  onClick={() => void act({ type: 'ledger.undo', command: entry.id })}
                >
                  Undo
                </button>
              )}
            </p>
          </li>
        ))}
      </ol>
      {next !== null && (
        <button
          type="button"
          className="button mt-3"
          onClick={() =>
            void fetchJson<LedgerView>(`/api/v1/ledger?after=${encodeURIComponent(next)}${query}`).then(
              (page) => {
                const below = [...more.entries, ...page.entries];
                unfolded.current = below.length;
                setLater({ after: first, entries: below, next: page.next });
              },
              (error: Error) => tell(error.message, 'error'),
            )
          }
        >
          Show earlier
        </button>
      )}
    </>
  );
}
