import type { PackageView } from '@/services/stock/packageView';

/** "use by tomorrow", "best by Sun", "past its use by". */
export function DueWords({ view: { governing, due_words, band } }: { view: PackageView }) {
  const kind = governing.kind === 'use-by' ? 'use by' : 'best by';
  if (band === 'past') return <b className="text-beet">past its {kind}</b>;
  return (
    <>
      {kind} <b>{due_words}</b>
    </>
  );
}
