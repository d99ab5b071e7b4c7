import type { Metadata } from 'next';
import { readRounds } from '@/services/rounds/rounds';
import { RoundsBench } from '@/ui/rounds/RoundsBench';
import { OnlyWhoMay } from '@/ui/door/IfMay';

export const metadata: Metadata = { title: 'Rounds' };

export default async function RoundsPage() {
  return (
    <OnlyWhoMay type="round.look">
      <RoundsBench view={await readRounds()} />
    </OnlyWhoMay>
  );
}
