import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { orNotFound, saysTooOften } from '@/services/door/problem';
import { readLabelByKey } from '@/services/keys/guest';
import { LabelWords } from '@/ui/keys/LabelWords';

export const metadata: Metadata = { title: 'Label · Orderly Frost', robots: { index: false } };

interface Asked {
  params: Promise<{ code: string }>;
  searchParams: Promise<{ g?: string | string[] }>;
}

/** One label for whoever scanned it: the key stands in its code. */
export default async function LabelPage({ params, searchParams }: Asked) {
  const [{ code }, { g }] = await Promise.all([params, searchParams]);
  const label = await orNotFound(readLabelByKey(code, typeof g === 'string' ? g : '')).catch(saysTooOften);
  if (!label) notFound();
  if ('tooOften' in label)
    return (
      <p role="alert" className="card mx-auto max-w-lg p-6 text-lg">
        {label.tooOften}
      </p>
    );
  return (
    <div className="mx-auto max-w-lg">
      <LabelWords label={label} />
    </div>
  );
}
