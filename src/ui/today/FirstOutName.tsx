'use client';

import type { PackageView } from '@/services/packageView';
import { useDoor } from '../door/DoorProvider';

function note(view: PackageView): string {
  if (view.verdict === 'discard') return 'not for eating';
  return view.band === 'past' ? 'look first' : '';
}

/** Name, amount and story of a row; opens the package. */
export function FirstOutName({ view, count }: { view: PackageView; count: number }) {
  const { showPackage } = useDoor();
  return (
    <button
      type="button"
      className="min-h-11 min-w-0 cursor-pointer text-left"
      onClick={() => showPackage(view.code)}
    >
      <span className="block font-heading leading-tight font-semibold">
        {view.food.name} · {count > 1 ? `${count} × ` : ''}
        {view.amount_words}
      </span>
      <span className="line-clamp-2 block text-[0.9375rem] leading-snug text-slate">
        {note(view) !== '' && <b className="font-semibold text-beet">{note(view)} · </b>}
        {view.story}
      </span>
    </button>
  );
}
