import type { Metadata } from 'next';
import { inOurUnits } from '@/services/household/inOurUnits';
import { readSheets } from '@/services/sheet/sheets';
import { SheetBench } from '@/ui/sheet/SheetBench';
import { type Search, textsOf } from '../../search';

export const metadata: Metadata = { title: 'Door sheet' };

export default async function SheetPage({ searchParams }: { searchParams: Search }) {
  const { code } = await textsOf(searchParams, 'code');
  const view = await inOurUnits(await readSheets());
  return (
    <>
      <h1 className="mb-1 text-[1.6rem]">Door sheet</h1>
      <p className="mb-3 max-w-3xl text-slate">
        A list for the door of an appliance: a box for every pack, crossed out with a pencil by whoever takes
        one. Once in a while tap here what is crossed out there.
      </p>
      <SheetBench view={view} begin={code?.toUpperCase() ?? null} />
    </>
  );
}
