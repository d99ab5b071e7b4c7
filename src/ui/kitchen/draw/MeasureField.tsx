'use client';

import { useId, useState } from 'react';
import { typedIn } from '@/core/units/typedIn';
import { useWording } from '../../units/useWording';

/** A measure in mm, shown and typed as the household measures. Takes effect on Enter or when one leaves it; what was refused stays as typed. */
export function MeasureField({
  label,
  value,
  wrong = false,
  onSet,
}: {
  label: string;
  value: number;
  wrong?: boolean;
  onSet: (mm: number) => void;
}) {
  const id = useId();
  const field = typedIn('mm', useWording());
  const [typed, setTyped] = useState<{ text: string; of: number } | null>(null);
  const text = typed && typed.of === value ? typed.text : field.show(value);
  const number = Math.round(field.read(text));
  const sound = Number.isFinite(number);
  const set = (): void => {
    if (sound && number !== value) onSet(number);
  };
  return (
    <label htmlFor={id} className="min-w-0">
      <span className="block text-[0.9375rem] text-slate">
        {label}, {field.unit}
      </span>
      <input
        id={id}
        inputMode="decimal"
        autoComplete="off"
        className="field"
        aria-invalid={!sound || (wrong && number !== value)}
        value={text}
        onChange={(event) => setTyped({ text: event.target.value, of: value })}
        onBlur={set}
        onKeyDown={(event) => event.key === 'Enter' && set()}
      />
    </label>
  );
}
