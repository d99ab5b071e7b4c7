import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Problem } from '@/services/door/problem';
import { readDesk } from '@/services/outage/cutDesk';
import { OutageDesk } from '@/ui/outage/OutageDesk';
import { type Search, textsOf } from '../search';

export const metadata: Metadata = { title: 'Outage' };

export default async function OutagePage({ searchParams }: { searchParams: Search }) {
  const { cut } = await textsOf(searchParams, 'cut');
  const view = await readDesk(cut === undefined ? {} : { cut }).catch((error: unknown) => {
    if (error instanceof Problem && error.status === 404) notFound();
    throw error;
  });
  return <OutageDesk view={view} />;
}
