import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { readUpkeep } from '@/services/kitchen/upkeep';
import { UpkeepBench } from '@/ui/kitchen/UpkeepBench';

export const metadata: Metadata = { title: 'Upkeep' };

export default async function UpkeepPage() {
  return (
    <>
      <h1 className="mb-3 text-[1.6rem]">Upkeep</h1>
      <UpkeepBench {...await inOurUnits(await readUpkeep())} />
    </>
  );
}
