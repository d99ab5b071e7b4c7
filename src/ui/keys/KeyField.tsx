'use client';

import { Eye, EyeOff } from 'lucide-react';
import { useId, useState } from 'react';
import { Strength } from './Strength';

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
  const [shown, setShown] = useState(false);
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block font-semibold">
        {label}
      </label>
      <span className="mt-1 flex gap-2">
        <input
          id={id}
          className="field flex-1"
          type={secret && !shown ? 'password' : 'text'}
          autoComplete={kind}
          autoFocus={autoFocus}
          maxLength={secret ? 128 : 40}
          value={value}
          aria-describedby={describedBy}
          onChange={(event) => onChange(event.target.value)}
        />
        {secret && (
          <button
            type="button"
            className="button"
            aria-pressed={shown}
            aria-label={shown ? 'Hide what I type' : 'Show what I type'}
            onClick={() => setShown(!shown)}
          >
            {shown ? <EyeOff aria-hidden size={20} /> : <Eye aria-hidden size={20} />}
          </button>
        )}
      </span>
      {kind === 'new-password' && value !== '' && <Strength password={value} />}
    </div>
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
