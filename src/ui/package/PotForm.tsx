'use client';

import { useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { AmountField } from '../forms/AmountField';
import { DayField } from '../forms/DayField';

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
  const ready = amount !== null && content !== '';
  return (
    <form
      className="grid gap-2 rounded-part border border-line p-3 sm:grid-cols-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) onTopUp({ amount, content, cap });
      }}
    >
      <AmountField label="Added" value={amount} unit={detail.unit} onChange={setAmount} />
      <DayField label="From" value={content} to={detail.today} onChange={setContent} />
      <AmountField
        label="“Use me” at"
        hint="empty: no cap"
        value={cap}
        unit={detail.unit}
        optional
        onChange={setCap}
      />
      <button type="submit" className="button" data-main="true" disabled={!ready}>
        Top up
      </button>
    </form>
  );
}
