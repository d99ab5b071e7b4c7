'use client';

import dynamic from 'next/dynamic';
import { type KeyboardEvent, useEffect, useState } from 'react';
import type { SeenRow, SeenToday } from '@/services/today/seenToday';
import { useDoor } from '../door/useDoor';
import { fetchJson } from '../door/fetchJson';
import { useMounted } from '../shell/useMounted';
import { FirstOutRowItem } from './FirstOutRowItem';
import { useFocusNext } from './useFocusNext';
import { useRowsAnswered } from './useRowsAnswered';
import { IfMay } from '../door/IfMay';

// Below what is in sight at first: it comes once the page lives.
const BelowFirstOut = dynamic(() => import('./BelowFirstOut').then((module) => module.BelowFirstOut), {
  ssr: false,
});
const TickedBar = dynamic(() => import('./TickedBar').then((module) => module.TickedBar));
const NothingAsks = dynamic(() => import('./NothingAsks').then((module) => module.NothingAsks));
const AnsweredRows = dynamic(() => import('./AnsweredRows').then((module) => module.AnsweredRows));

/** Rows of the first drawing: more than are in sight; the rest comes as soon as the page lives. */
const AT_FIRST = 9;

interface Page {
  rows: SeenRow[];
  next: string | null;
}

/** Moves the focus to the row above or below the one that has it. */
function moveFocus(event: KeyboardEvent<HTMLElement>): void {
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return;
  if (event.target instanceof HTMLElement && event.target.tagName === 'INPUT') return;
  const names = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-row-name]')];
  const here = names.findIndex((name) => name.closest('[data-row]')?.contains(event.target as Node));
  const next = names[here + (event.key === 'ArrowDown' ? 1 : -1)];
  if (!next) return;
  event.preventDefault();
  next.focus();
}

/** The list in the order in which to eat: what asks for an answer on top, what had its answer folded below. */
export function FirstOut({
  view,
  chosen,
  onChoose,
}: {
  view: SeenToday;
  chosen: string | null;
  onChoose: (id: string | null) => void;
}) {
  const { tell } = useDoor();
  // Pages fetched after a first page are of no use once that page is renewed.
  const [later, setLater] = useState<Page & { after: SeenToday }>();
  const more = later?.after === view ? later : { rows: [], next: view.next };
  const all = [...view.first_out, ...more.rows];
  const mounted = useMounted();
  // The answers are fetched once the page lives, before anybody asks for them.
  useEffect(() => void import('../package/AnswerBar'), []);
  const [unfolded, setUnfolded] = useState(false);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const tick = (id: string): void => {
    setTicked((before) => {
      const next = new Set(before);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  };
  const list = useFocusNext(all.map(({ view: { id } }) => id).join(' '));
  const { isSent, answered } = useRowsAnswered(list);
  const rows = all.filter((row) => !isSent(row));
  const shown = all.reduce((sum, { packages }) => sum + packages.length, 0);
  const tickedRows = rows.filter(({ view: { id } }) => ticked.has(id));
  const item = (row: SeenRow, tickable = false) => (
    <FirstOutRowItem
      key={row.view.id}
      row={row}
      chosen={chosen === row.view.id}
      ticked={tickable && ticked.has(row.view.id)}
      onTick={tickable ? () => tick(row.view.id) : undefined}
      today={view.today}
      onChoose={(open) => onChoose(open ? row.view.id : null)}
      onSend={tickable ? (done) => answered(row, done) : undefined}
    />
  );
  const fetchMore = async (after: string): Promise<void> => {
    try {
      const scope = encodeURIComponent(view.scope);
      const page = await fetchJson<Page>(
        `/api/v1/first-out?scope=${scope}&after=${encodeURIComponent(after)}`,
      );
      setLater({ after: view, rows: [...more.rows, ...page.rows], next: page.next });
    } catch (error) {
      tell((error as Error).message, 'error');
    }
  };
  return (
    <section aria-labelledby="first-out" className="card flex min-h-0 flex-col px-4 pt-3 lg:flex-1">
      <header className="border-b border-line pb-2">
        <h2 id="first-out" className="text-lg">
          First out
        </h2>
        <p className="text-slate">
          what is past, today or tomorrow asks for an answer; oldest first
          <span className="max-md:hidden">
            {' '}
            · all keys <kbd className="key">?</kbd>
          </span>
        </p>
      </header>
      {tickedRows.length > 0 && (
        <IfMay type="package.answer">
          <TickedBar rows={tickedRows} today={view.today} onDone={() => setTicked(new Set())} />
        </IfMay>
      )}
      <div ref={list} className="-mx-2 min-h-0 flex-1 overflow-y-auto" onKeyDown={moveFocus}>
        {rows.length === 0 ? (
          <NothingAsks />
        ) : (
          <ol aria-label="Asks for an answer" className="divide-y divide-line">
            {(mounted ? rows : rows.slice(0, AT_FIRST)).map((row) => item(row, true))}
          </ol>
        )}
        {more.next !== null && (
          <button
            type="button"
            className="button mx-2 my-3 w-[calc(100%-1rem)]"
            onClick={() => void fetchMore(more.next ?? '')}
          >
            Show more; {Math.max(1, view.asking - shown)} wait below
          </button>
        )}
        {view.to_eat.length + view.freezers.length + view.coming.length > 0 && (
          <BelowFirstOut view={view} item={(row) => item(row)} />
        )}
        {view.answered > 0 && (
          <details
            className="border-t border-line"
            onToggle={(event) => setUnfolded(event.currentTarget.open)}
          >
            <summary className="flex min-h-11 cursor-pointer items-center px-2 font-heading font-semibold">
              Answered ({view.answered})
            </summary>
            {unfolded && <AnsweredRows scope={view.scope} item={(row) => item(row)} />}
          </details>
        )}
      </div>
      <div className="border-t border-line py-2 text-[0.9375rem] leading-snug text-slate">
        <p>
          {view.settled} more {view.settled === 1 ? 'package is' : 'packages are'} settled.{' '}
          <a href="/stock" className="text-deep underline">
            See all in Stock
          </a>
        </p>
        <p>
          Passed without an answer, last 12 months: <b data-passed>{view.passed_unanswered}</b>
        </p>
      </div>
    </section>
  );
}
