'use client';

/** A day of the calendar; empty where none is told. */
export function DayField({
  label,
  value,
  from,
  to,
  onChange,
}: {
  label: string;
  value: string;
  from?: string | undefined;
  to?: string | undefined;
  onChange: (day: string) => void;
}) {
  return (
    <label className="block">
      <span className="block text-slate">{label}</span>
      <input
        type="date"
        className="field"
        min={from}
        max={to}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
