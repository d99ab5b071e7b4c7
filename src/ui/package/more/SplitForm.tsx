'use client';

import { useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { splitEvenly } from '@/core/portions/splitEvenly';
import { AmountField } from '../../forms/AmountField';
import { NumberField } from '../../forms/NumberField';
import type { Run } from './run';

const MOST_PACKS = 50;

/** Into how many packages, all alike; or one of an amount, the rest staying where it is. */
export function SplitForm({ detail, run }: { detail: PackageDetail; run: Run }) {
  const [packs, setPacks] = useState<number | null>(2);
  const [part, setPart] = useState<number | null>(null);
  const even = packs !== null && packs >= 2 && packs <= Math.min(MOST_PACKS, detail.amount);
  const amounts = part !== null ? [part] : even ? splitEvenly(detail.amount, packs).slice(0, -1) : [];
  const ready = amounts.length > 0 && amounts.reduce((sum, one) => sum + one, 0) < detail.amount;
  const asks = detail.part_opens === 'ask';
  const split = (pieces: 'closed' | 'open' | null): void => run('package.split', { amounts, pieces });
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) split(asks ? 'open' : null);
      }}
    >
      <div className="w-32">
        <NumberField label="Into packages" value={packs} least={2} most={MOST_PACKS} onChange={setPacks} />
      </div>
      <div className="w-44">
        <AmountField
          label="or one of"
          value={null}
          unit={detail.unit}
          most={detail.amount - 1}
          optional
          onChange={setPart}
        />
      </div>
      {asks && (
        <button type="button" className="button" disabled={!ready} onClick={() => split('closed')}>
          Split, each piece is closed in itself
        </button>
      )}
      <button type="submit" className="button" data-main="true" disabled={!ready}>
        Split it
      </button>
      <p className="w-full text-[0.9375rem] text-slate">
        Each gets a code of its own and keeps the same date
        {detail.part_opens === 'stays' || detail.opened ? '.' : '; what was closed counts as opened today.'}
      </p>
    </form>
  );
}
