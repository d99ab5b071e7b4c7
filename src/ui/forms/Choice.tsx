'use client';

/** A labelled list to choose one of. */
export function Choice<Value extends string>({
  label,
  value,
  choices,
  onChoose,
  className = '',
}: {
  label: string;
  value: Value;
  choices: readonly (readonly [value: Value, words: string])[];
  onChoose: (value: Value) => void;
  className?: string;
}) {
  return (
    <label className={className}>
      <span className="block text-slate">{label}</span>
      <select className="field" value={value} onChange={(event) => onChoose(event.target.value as Value)}>
        {choices.map(([choice, words]) => (
          <option key={choice} value={choice}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
