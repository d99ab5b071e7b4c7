import type { Metadata } from 'next';
import { readLookBack } from '@/services/lookback/lookBack';
import { LookBackBench } from '@/ui/lookback/LookBackBench';

export const metadata: Metadata = { title: 'Look back' };

export default async function LookBackPage() {
  return <LookBackBench view={await readLookBack()} />;
}
