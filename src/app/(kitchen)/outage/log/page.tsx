import type { Metadata } from 'next';
import { readThermometers } from '@/services/outage/thermometers';
import { LogBench } from '@/ui/outage/LogBench';

export const metadata: Metadata = { title: 'Thermometers' };

const MOST_DAYS = 400;

export default async function LogPage({ searchParams }: { searchParams: Promise<{ days?: string }> }) {
  const { days } = await searchParams;
  const told = Number(days);
  return (
    <LogBench
      view={await readThermometers(
        Number.isInteger(told) && told >= 1 && told <= MOST_DAYS ? { days: told } : {},
      )}
    />
  );
}
