import type { Metadata } from 'next';
import Link from 'next/link';
import { readKitchenView } from '@/services/kitchen';
import { readZones } from '@/services/zones';
import { CalendarAddress } from '@/ui/kitchen/CalendarAddress';
import { HeadsUpForm } from '@/ui/kitchen/HeadsUpForm';
import { RoundsAndUpkeep } from '@/ui/kitchen/RoundsAndUpkeep';
import { ZoneTable } from '@/ui/kitchen/ZoneTable';

export const metadata: Metadata = { title: 'Kitchen' };

export default async function KitchenPage() {
  const [view, { zones }] = await Promise.all([readKitchenView(), readZones()]);
  return (
    <>
      <h1 className="text-[1.6rem]">Kitchen</h1>
      <p className="mb-3 text-slate">
        {view.name}. What the household decides for itself, its foods, its appliances and zones.
      </p>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <HeadsUpForm settings={view.settings} />
        <CalendarAddress address={view.calendar_address} notifyAt={view.settings.notifyAt} />
        <section className="card p-5" aria-labelledby="foods">
          <h2 id="foods" className="text-lg">
            Foods
          </h2>
          <p className="mt-1">
            {view.foods} foods with their keeping times, freezing advice, best place and signs of spoilage;{' '}
            {view.own_foods} of them your own, {view.wishes} with a wish of yours.
          </p>
          <Link href="/kitchen/foods" className="button mt-3" data-main="true">
            Browse foods
          </Link>
        </section>
        <RoundsAndUpkeep jobs={view.jobs} />
      </div>
      <ZoneTable zones={zones} />
    </>
  );
}
