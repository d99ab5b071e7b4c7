import type { Metadata } from 'next';
import { readRounds } from '@/services/rounds/rounds';
import { RoundsBench } from '@/ui/rounds/RoundsBench';

export const metadata: Metadata = { title: 'Rounds' };

export default async function RoundsPage() {
  return <RoundsBench view={await readRounds()} />;
}
