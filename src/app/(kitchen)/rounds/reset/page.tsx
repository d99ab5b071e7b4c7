import type { Metadata } from 'next';
import { readReset } from '@/services/rounds/reset';
import { ResetBench } from '@/ui/rounds/ResetBench';

export const metadata: Metadata = { title: 'Reset' };

export default async function ResetPage() {
  return <ResetBench view={await readReset()} />;
}
