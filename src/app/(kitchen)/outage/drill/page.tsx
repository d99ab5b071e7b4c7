import type { Metadata } from 'next';
import { readDrills } from '@/services/outage/drills';
import { DrillBench } from '@/ui/drill/DrillBench';

export const metadata: Metadata = { title: 'Drill' };

export default async function DrillPage() {
  return <DrillBench view={await readDrills()} />;
}
