import type { Metadata } from 'next';
import { readLeaving } from '@/services/leaving/leaving';
import { LeavingBench } from '@/ui/leaving/LeavingBench';

export const metadata: Metadata = { title: 'Surplus and room' };

export default async function LeavingPage() {
  return <LeavingBench view={await readLeaving()} />;
}
