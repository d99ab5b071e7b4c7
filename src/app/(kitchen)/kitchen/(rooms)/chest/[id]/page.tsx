import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { readChest } from '@/services/kitchen/chestPlan';
import { orBusy, orNotFound } from '@/services/door/problem';
import { BusyPage } from '@/ui/shell/BusyPage';
import { ChestBench } from '@/ui/kitchen/ChestBench';

export const metadata: Metadata = { title: 'Chest plan' };

export default async function ChestPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const read = await orBusy(orNotFound(readChest(id)).then((found) => ({ found })));
  if (read === null) return <BusyPage title="Chest plan" here={`/kitchen/chest/${id}`} />;
  const chest = await inOurUnits(read.found);
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
