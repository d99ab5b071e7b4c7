import type { Metadata } from 'next';
import { OnlyWhoMay } from '@/ui/door/IfMay';
import { inOurUnits } from '@/services/household/inOurUnits';
import { readTake } from '@/services/take/take';
import { TakeBench } from '@/ui/take/TakeBench';

export const metadata: Metadata = { title: 'Help yourself' };

export default async function TakePage() {
  return (
    <OnlyWhoMay type="package.take">
      <TakeBench view={await inOurUnits(await readTake())} />
    </OnlyWhoMay>
  );
}
