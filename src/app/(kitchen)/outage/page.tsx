import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { viewContext } from '@/services/household/context';
import { readDrawing } from '@/services/kitchen/drawing';
import { OutageBench } from '@/ui/outage/OutageBench';

export const metadata: Metadata = { title: 'Outage' };

export default async function OutagePage() {
  const appliances = await inOurUnits(await readDrawing(await viewContext()));
  return (
    <>
      <h1 className="mb-3 text-[1.6rem]">After a power cut</h1>
      <OutageBench appliances={appliances} />
    </>
  );
}
