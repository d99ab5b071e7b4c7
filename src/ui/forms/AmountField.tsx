'use client';

import { useId, useState } from 'react';
import { bareUnit, typedAmount } from '@/core/units/typedAmount';
import { type AmountUnit, sayAmount } from '@/core/units/sayAmount';
import { useSay } from '../units/useSay';
import { useUnits } from '../units/useWording';

/** An amount, typed in either system; says what is wrong while one types. A bare number is in the household's small unit. */
export function AmountField({
  label,
  value,
  unit,
  most = null,
  hint = '',
  optional = false,
  onChange,
}: {
  label: string;
  value: number | null;
  unit: AmountUnit;
  /** There is no more than this of it. */
  most?: number | null;
  hint?: string;
  optional?: boolean;
  /** `null`: nothing, or what cannot be. */
  onChange: (amount: number | null) => void;
}) {
  const id = useId();
  const units = useUnits();
  const say = useSay();
  const read = (text: string): { amount: number | null; fault: string } => {
    if (text.trim() === '') return { amount: null, fault: '' };
    const typed = typedAmount(text, unit, units);
    if (typed.amount === null || most === null || typed.amount <= most) return typed;
    return { amount: null, fault: `There are ${say(sayAmount(most, unit))} in it.` };
  };
  const [text, setText] = useState(() => (value === null ? '' : say(sayAmount(value, unit))));
  const { fault } = read(text);
  return (
    <label>
      <span className="block text-slate">{label}</span>
      <input
        className="field"
        autoComplete="off"
        placeholder={optional ? '' : `in ${bareUnit(unit, units)}`}
        value={text}
        aria-invalid={fault !== ''}
        aria-describedby={id}
        onChange={(event) => {
          setText(event.target.value);
          onChange(read(event.target.value).amount);
        }}
      />
      <span id={id} role={fault === '' ? undefined : 'alert'} className="block text-[0.9375rem] text-slate">
        {fault === '' ? hint : <span className="text-beet">{fault}</span>}
      </span>
    </label>
  );
}
