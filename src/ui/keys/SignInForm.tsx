'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { forgetKept } from './forgetKept';
import { KeyFault, KeyField } from './KeyField';
import { useKeyForm } from './useKeyForm';

/** Only pages of this kitchen are gone back to. */
const within = (to: string): string => (/^\/(?![/\\])/.test(to) ? to : '/');

/** Back in by name and password. */
export function SignInForm({ to }: { to: string }) {
  const { fault, failed, busy, send } = useKeyForm();

  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  const wantsCode = failed === 'second-factor' || failed === 'wrong-code' || code !== '';
  // Whoever is asked for a key has none: what the device kept while it had one is not hers to read.
  useEffect(() => {
    void forgetKept();
  }, []);
  return (
    <form
      className="space-y-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        send('sign-in', { name: name.trim(), password, code }, () => window.location.assign(within(to)));
      }}
    >
      <KeyField label="Your name" kind="username" value={name} onChange={setName} autoFocus />
      <KeyField label="Password" kind="current-password" value={password} onChange={setPassword} />
      {wantsCode && (
        <label className="block">
          <span className="block font-semibold">Six digits from your authenticator, or a recovery code</span>
          <input
            className="field mt-1 font-mono text-xl"
            autoComplete="one-time-code"
            autoFocus
            maxLength={40}
            value={code}
            aria-describedby="key-fault"
            onChange={(event) => setCode(event.target.value)}
          />
        </label>
      )}
      <KeyFault fault={fault} />
      <div className="flex flex-wrap gap-3">
        <button
          type="submit"
          className="button"
          data-main="true"
          disabled={busy || name.trim() === '' || password === ''}
        >
          {busy ? 'Opening …' : 'Open'}
        </button>
        <Link href="/join" className="button">
          I have a code
        </Link>
      </div>
      <p className="text-slate">
        No password, or lost? A cook of your kitchen gives you a code, under Kitchen, Keys. Whoever runs this
        server can always make one: <code>npm run setup-code</code>.
      </p>
    </form>
  );
}
