'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { KeyFault, KeyField } from './KeyField';
import { useKeyForm } from './useKeyForm';

/** In by a code: scanned or followed, it stands behind the # already; read out, it is typed. */
export function JoinForm({ me }: { me: string | null }) {
  const { fault, busy, send } = useKeyForm();
  const [code, setCode] = useState('');
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  useEffect(() => {
    const told = decodeURIComponent(window.location.hash.slice(1));
    if (told === '') return;
    // Out of the address at once, so that it is not left in the history of a device that is lent.
    window.history.replaceState(null, '', window.location.pathname);
    queueMicrotask(() => setCode(told.slice(0, 40)));
  }, []);
  const body = me === null ? { code, name: name.trim(), password } : { code };
  return (
    <form
      className="space-y-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        send('join', body, () => window.location.assign('/'));
      }}
    >
      <label className="block">
        <span className="block font-semibold">Code</span>
        <input
          className="field mt-1 font-mono text-xl tracking-wider"
          autoComplete="one-time-code"
          autoCapitalize="characters"
          maxLength={40}
          placeholder="KT4M-9WXY-HJ2P"
          value={code}
          aria-describedby="key-fault"
          onChange={(event) => setCode(event.target.value.toUpperCase())}
        />
      </label>
      {me === null && (
        <>
          <KeyField label="What are you called?" kind="username" value={name} onChange={setName} />
          <KeyField
            label="A password, as the way back in"
            kind="new-password"
            value={password}
            onChange={setPassword}
            describedBy="password-hint key-fault"
          />
          <p id="password-hint" className="!mt-1 text-slate">
            Three or four words are good. You can leave it empty, unless this is the set-up code.
          </p>
        </>
      )}
      <KeyFault fault={fault} />
      <div className="flex flex-wrap gap-3">
        <button
          type="submit"
          className="button"
          data-main="true"
          disabled={busy || code.trim() === '' || (me === null && name.trim() === '')}
        >
          {busy ? 'Coming in …' : 'Come in'}
        </button>
        {me === null && (
          <Link href="/sign-in" className="button">
            I have a password
          </Link>
        )}
      </div>
    </form>
  );
}
