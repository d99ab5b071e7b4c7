import type { Metadata } from 'next';
import { readDesk } from '@/services/outage/cutDesk';
import { PrepareBench } from '@/ui/outage/PrepareBench';

export const metadata: Metadata = { title: 'Prepare for a power cut' };

export default async function PreparePage() {
  return <PrepareBench view={await readDesk({})} />;
}
