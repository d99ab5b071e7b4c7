'use client';

import { useState } from 'react';
import type { Food } from '@/core/model/food';
import { countPacks, splitLine } from '@/core/haul/planLine';
import type { HaulLine } from '@/core/model/haul';
import { AmountField } from '../forms/AmountField';
import { PrintedField } from '../forms/PrintedField';

/** What was read wrong or weighs otherwise: the amount that came in and its printed date, put right before it is labelled. */
export function CorrectLine({
  line,
  food,
  onLine,
  onClose,
}: {
  line: HaulLine;
  food: Food;
  onLine: (changes: Partial<HaulLine>) => void;
  onClose: () => void;
}) {
  const [amount, setAmount] = useState<number | null>(line.amount);
  const [printed, setPrinted] = useState(line.printed);
  const ready = amount !== null && (printed === null || printed.date !== '');
  const save = (): void => {
    if (!ready) return;
    const told = {
      ...line,
      amount,
      pieces: line.pieces !== null && line.pieces > amount ? null : line.pieces,
    };
    const parts = amount === line.amount ? line.parts : splitLine(told, { packs: countPacks(line) }, food);
    onLine({ amount, pieces: told.pieces, printed, parts });
    onClose();
  };
  return (
    <form
      className="flex flex-wrap items-start gap-3 rounded-part border border-line p-3"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <AmountField label="Came in, in all" value={line.amount} unit={line.unit} onChange={setAmount} />
      <PrintedField value={printed} onChange={setPrinted} />
      <button type="submit" className="button mt-6" data-main="true" disabled={!ready}>
        That is right
      </button>
      <button type="button" className="button mt-6" onClick={onClose}>
        As it was
      </button>
    </form>
  );
}
