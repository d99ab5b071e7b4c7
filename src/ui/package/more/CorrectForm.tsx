'use client';

import { useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { AmountField } from '../../forms/AmountField';
import { PrintedField } from '../../forms/PrintedField';
import type { Run } from './run';
import { DayField } from '../../forms/DayField';

const REASONS = ['weighed again', 'read wrong', 'mistyped', 'wrong label'] as const;

/** What was told wrong is put right, with the reason; only what was changed is sent. */
export function CorrectForm({ detail, run }: { detail: PackageDetail; run: Run }) {
  const [amount, setAmount] = useState<number | null>(detail.amount);
  const [printed, setPrinted] = useState(detail.printed);
  const [startOn, setStartOn] = useState(detail.start_on);
  const [frozenOn, setFrozenOn] = useState(detail.frozen_on ?? '');
  const [reason, setReason] = useState<string>('');
  const printedNow = JSON.stringify(printed) !== JSON.stringify(detail.printed);
  const changed = {
    ...(amount !== null && amount !== detail.amount ? { amount } : {}),
    ...(printedNow ? { printed } : {}),
    ...(startOn !== detail.start_on ? { startOn } : {}),
    ...(frozenOn !== (detail.frozen_on ?? '') ? { frozenOn } : {}),
  };
  const whole =
    amount !== null &&
    startOn !== '' &&
    (detail.frozen_on === null || frozenOn !== '') &&
    (printed === null || printed.date !== '');
  return (
    <form
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (whole && reason.trim() !== '') run('package.correct', { ...changed, reason: reason.trim() });
      }}
    >
      <div className="flex flex-wrap items-start gap-2">
        <AmountField label="In it" value={detail.amount} unit={detail.unit} onChange={setAmount} />
        <DayField label="It began on" value={startOn} to={detail.today} onChange={setStartOn} />
        {detail.frozen_on !== null && (
          <DayField label="Frozen on" value={frozenOn} to={detail.today} onChange={setFrozenOn} />
        )}
        <PrintedField value={printed} onChange={setPrinted} />
      </div>
      <label className="block">
        <span className="block text-slate">Why?</span>
        <input
          className="field"
          list="correct-reasons"
          maxLength={120}
          placeholder="weighed again, read wrong …"
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
        <datalist id="correct-reasons">
          {REASONS.map((one) => (
            <option key={one} value={one} />
          ))}
        </datalist>
      </label>
      <button
        type="submit"
        className="button"
        data-main="true"
        disabled={!whole || reason.trim() === '' || Object.keys(changed).length === 0}
      >
        Put it right
      </button>
    </form>
  );
}
