import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readChest } from '@/services/kitchen/chestPlan';
import { orNotFound } from '@/services/door/problem';
import { ChestBench } from '@/ui/kitchen/ChestBench';

export const metadata: Metadata = { title: 'Chest plan' };

export default async function ChestPage({ params }: { params: Promise<{ id: string }> }) {
  const chest = await inOurUnits(await orNotFound(readChest((await params).id)));
  if (!chest) notFound();
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="text-[1.6rem]">{chest.drawing.name}: what lies where</h1>
        <a
          className="button ml-auto"
          href={`/api/v1/chest-plan?appliance=${chest.drawing.id}`}
          target="_blank"
          rel="noreferrer"
        >
          Print the plan
        </a>
      </div>
      <ChestBench chest={chest} />
    </>
  );
}
