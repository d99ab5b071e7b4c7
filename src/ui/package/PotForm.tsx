'use client';

import { useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { NumberField } from '../forms/NumberField';

const MOST = 20_000;

/** Tops up a pot: how much, from when, and how much it may hold before it says "use me". */
export function PotForm({
  detail,
  onTopUp,
}: {
  detail: PackageDetail;
  onTopUp: (more: { amount: number; content: string | null; cap: number | null }) => void;
}) {
  const [amount, setAmount] = useState<number | null>(null);
  const [cap, setCap] = useState<number | null>(detail.cap);
  const [content, setContent] = useState(detail.today);
  const unit = detail.unit === 'pc' ? 'pieces' : detail.unit;
  const ready = amount !== null && Number.isInteger(amount) && amount > 0 && content !== '';
  return (
    <form
      className="grid gap-2 rounded-part border border-line p-3 sm:grid-cols-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) onTopUp({ amount, content, cap });
      }}
    >
      <NumberField label={`Added, in ${unit}`} value={amount} most={MOST} onChange={setAmount} />
      <label>
        <span className="block text-slate">From</span>
        <input
          type="date"
          className="field"
          max={detail.today}
          value={content}
          onChange={(event) => setContent(event.target.value)}
        />
      </label>
      <NumberField
        label="“Use me” at"
        hint="empty: no cap"
        value={cap}
        most={MOST}
        optional
        onChange={setCap}
      />
      <button type="submit" className="button" data-main="true" disabled={!ready}>
        Top up
      </button>
    </form>
  );
}
