'use client';

import { useId, useState } from 'react';

/** A whole number from `least` to `most`, or nothing where that is allowed; says what is wrong while one types. */
export function NumberField({
  label,
  hint = '',
  value,
  least = 1,
  most,
  optional = false,
  onChange,
}: {
  label: string;
  hint?: string;
  value: number | null;
  least?: number;
  most: number;
  optional?: boolean;
  onChange: (value: number | null) => void;
}) {
  const id = useId();
  const [text, setText] = useState(value === null ? '' : String(value));
  const number = Number(text);
  const empty = text.trim() === '';
  const fault = empty
    ? optional
      ? ''
      : 'A number, please.'
    : !Number.isInteger(number) || number < least || number > most
      ? `A whole number from ${least} to ${most}.`
      : '';
  return (
    <label>
      <span className="block text-slate">{label}</span>
      <input
        className="field"
        inputMode="numeric"
        value={text}
        aria-invalid={fault !== ''}
        aria-describedby={id}
        onChange={(event) => {
          const typed = event.target.value;
          setText(typed);
          onChange(typed.trim() === '' ? null : Number(typed));
        }}
      />
      <span id={id} role={fault === '' ? undefined : 'alert'} className="block text-[0.9375rem] text-slate">
        {fault === '' ? hint : <span className="text-beet">{fault}</span>}
      </span>
    </label>
  );
}
