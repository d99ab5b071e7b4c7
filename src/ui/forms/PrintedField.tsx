'use client';

import { PRINTED_KINDS, type PrintedDate, type PrintedKind } from '@/core/model/history';

const WORDS: Record<PrintedKind, string> = {
  'use-by': 'use by',
  'best-before': 'best before',
  'sell-by': 'sell by',
  'freeze-by': 'freeze by',
};

/** The date printed on it, with its words; none where none is printed. */
export function PrintedField({
  value,
  onChange,
}: {
  value: PrintedDate | null;
  onChange: (printed: PrintedDate | null) => void;
}) {
  return (
    <fieldset className="flex gap-2">
      <legend className="text-slate">Printed date</legend>
      <label>
        <span className="sr-only">Its words</span>
        <select
          className="field w-auto"
          value={value?.kind ?? 'none'}
          onChange={(event) =>
            onChange(
              event.target.value === 'none'
                ? null
                : { kind: event.target.value as PrintedKind, date: value?.date ?? '' },
            )
          }
        >
          <option value="none">none</option>
          {PRINTED_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {WORDS[kind]}
            </option>
          ))}
        </select>
      </label>
      {value && (
        <label>
          <span className="sr-only">The date</span>
          <input
            type="date"
            className="field w-auto"
            value={value.date}
            onChange={(event) => onChange({ ...value, date: event.target.value })}
          />
        </label>
      )}
    </fieldset>
  );
}
