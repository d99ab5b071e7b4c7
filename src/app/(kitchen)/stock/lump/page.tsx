import type { Metadata } from 'next';
import { readLump } from '@/services/lump/lump';
import { LumpBench } from '@/ui/lump/LumpBench';
import { OnlyWhoMay } from '@/ui/door/IfMay';

export const metadata: Metadata = { title: 'What is this?' };

export default async function LumpPage() {
  const view = await readLump();
  return (
    <>
      <h1 className="mb-1 text-[1.6rem]">What is this?</h1>
      <p className="mb-3 max-w-3xl text-slate">
        A lump without a name: say what can be seen, as far as you can. What it may be is ranked from the
        ledger. When in doubt, throw it out; local food-safety advice comes first.
      </p>
      <OnlyWhoMay type="haul.store">
        <LumpBench view={view} />
      </OnlyWhoMay>
    </>
  );
}
