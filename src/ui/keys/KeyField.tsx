'use client';

/** A field of a key: a name or a password, as browsers and their safes know it. */
export function KeyField({
  label,
  kind,
  value,
  onChange,
  describedBy = 'key-fault',
  autoFocus = false,
}: {
  label: string;
  kind: 'username' | 'current-password' | 'new-password';
  value: string;
  onChange: (value: string) => void;
  describedBy?: string;
  autoFocus?: boolean;
}) {
  const secret = kind !== 'username';
  return (
    <label className="block">
      <span className="block font-semibold">{label}</span>
      <input
        className="field mt-1"
        type={secret ? 'password' : 'text'}
        autoComplete={kind}
        autoFocus={autoFocus}
        maxLength={secret ? 200 : 40}
        value={value}
        aria-describedby={describedBy}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}

/** What was wrong, told at once. */
export function KeyFault({ fault }: { fault: string }) {
  return (
    <p
      id="key-fault"
      role="alert"
      className={fault === '' ? 'sr-only' : 'rounded-part bg-beet-tint px-3 py-2 text-beet'}
    >
      {fault}
    </p>
  );
}
