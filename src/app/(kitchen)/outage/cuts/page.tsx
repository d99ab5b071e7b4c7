import type { Metadata } from 'next';
import { readDesk } from '@/services/outage/cutDesk';
import { PastCuts } from '@/ui/outage/PastCuts';

export const metadata: Metadata = { title: 'Past power cuts' };

export default async function CutsPage() {
  return <PastCuts view={await readDesk({})} />;
}
