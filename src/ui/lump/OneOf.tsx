'use client';

/** A few answers as large buttons, one of them or none. */
export function OneOf<Value extends string>({
  label,
  value,
  choices,
  onChoose,
}: {
  label: string;
  value: Value | null;
  choices: readonly (readonly [value: Value, words: string])[];
  onChoose: (value: Value | null) => void;
}) {
  return (
    <div role="group" aria-label={label}>
      <p className="text-slate">{label}</p>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {choices.map(([one, words]) => (
          <button
            key={one}
            type="button"
            className="button"
            aria-pressed={one === value}
            data-main={one === value}
            onClick={() => onChoose(one === value ? null : one)}
          >
            {words}
          </button>
        ))}
      </div>
    </div>
  );
}
