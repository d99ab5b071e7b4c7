import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { isCalendarDate } from '@/core/calendar/calendarDate';
import { type Search, textsOf } from '../search';
import { readLedgerPage } from '@/services/household/ledger';
import { FoldedFilters } from '@/ui/forms/FoldedFilters';
import { LedgerList } from '@/ui/ledger/LedgerList';

export const metadata: Metadata = { title: 'Ledger' };

export default async function LedgerPage({ searchParams }: { searchParams: Search }) {
  const { q, on: told } = await textsOf(searchParams, 'q', 'on');
  const on = told !== undefined && isCalendarDate(told) ? told : undefined;
  const first = await inOurUnits(await readLedgerPage({ q, on }));
  const query = `${q ? `&q=${encodeURIComponent(q)}` : ''}${on ? `&on=${on}` : ''}`;
  return (
    <>
      <h1 className="text-[1.6rem]">Ledger</h1>
      <p className="mb-3 text-slate">
        What happened, newest first. Nothing here is ever erased; an undo is written down too.
      </p>
      <p className="mb-3">
        Passed without an answer, last 12 months: <b className="font-heading">{first.passed_unanswered}</b>
      </p>
      <form className="mb-3 flex flex-wrap items-end gap-3" role="search">
        <label className="min-w-56 flex-1">
          <span className="block text-slate">A food, a zone, a code, or who did it</span>
          <input className="field" type="search" name="q" defaultValue={q ?? ''} maxLength={120} />
        </label>
        <FoldedFilters narrowed={on ? 1 : 0}>
          <label>
            <span className="block text-slate">On</span>
            <input className="field" type="date" name="on" defaultValue={on ?? ''} />
          </label>
          <button type="submit" className="button">
            Show
          </button>
        </FoldedFilters>
      </form>
      <LedgerList key={query} first={first} query={query} />
    </>
  );
}
