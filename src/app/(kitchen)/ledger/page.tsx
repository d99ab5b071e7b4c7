import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { readLedgerPage } from '@/services/household/ledger';
import { LedgerList } from '@/ui/ledger/LedgerList';

export const metadata: Metadata = { title: 'Ledger' };

export default async function LedgerPage() {
  const first = await inOurUnits(await readLedgerPage({}));
  return (
    <>
      <h1 className="text-[1.6rem]">Ledger</h1>
      <p className="mb-3 text-slate">
        What happened, newest first. Nothing here is ever erased; an undo is written down too.
      </p>
      <p className="mb-3">
        Passed without an answer, last 12 months: <b className="font-heading">{first.passed_unanswered}</b>
      </p>
      <LedgerList first={first} />
    </>
  );
}
