import type { Metadata } from 'next';
import { readToday } from '@/services/today';
import { OutageBench } from '@/ui/outage/OutageBench';

export const metadata: Metadata = { title: 'Outage' };

export default async function OutagePage() {
  const { appliances } = await readToday();
  return (
    <>
      <h1 className="mb-3 text-[1.6rem]">After a power cut</h1>
      <OutageBench appliances={appliances} />
    </>
  );
}
