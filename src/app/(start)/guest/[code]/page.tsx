import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { orNotFound } from '@/services/door/problem';
import { inOurUnits } from '@/services/household/inOurUnits';
import { readLabelAsGuest } from '@/services/keys/guest';
import { TakeLabelled } from '@/ui/keys/GuestTable';
import { LabelWords } from '@/ui/keys/LabelWords';

export const metadata: Metadata = { title: 'Label · Orderly Frost' };

export default async function GuestLabelPage({ params }: { params: Promise<{ code: string }> }) {
  const label = await inOurUnits(await orNotFound(readLabelAsGuest((await params).code)));
  if (!label) notFound();
  return (
    <div className="mx-auto max-w-lg">
      <LabelWords label={label} />
      <TakeLabelled tile={label.tile} />
    </div>
  );
}
