'use client';

import { useState } from 'react';
import { postJson } from '../door/fetchJson';
import { CodePicture } from './CodePicture';
import { KeyFault } from './KeyField';
import type { SendKey } from './sendKey';

interface Secret {
  secret: string;
  address: string;
  modules: string[];
}

/** A code from the phone besides the password, for who wants it: scanned once, told once, with codes for the day the phone is lost. */
export function SecondFactor({ has, busy, send }: { has: boolean; busy: boolean; send: SendKey }) {
  const [secret, setSecret] = useState<Secret | null>(null);
  const [code, setCode] = useState('');
  const [codes, setCodes] = useState<string[] | null>(null);
  const [fault, setFault] = useState('');
  const run = (work: Promise<unknown>): void => {
    setFault('');
    work.catch((error: unknown) =>
      setFault(error instanceof Error ? error.message : 'That did not work. Try again.'),
    );
  };
  const begin = () =>
    postJson<Secret>('/api/v1/keys/second-factor/begin', {}).then((told) => {
      setCodes(null);
      setSecret(told);
    });
  const set = () =>
    postJson<{ codes: string[] }>('/api/v1/keys/second-factor/set', {
      secret: secret?.secret,
      code: code.replaceAll(' ', ''),
    }).then((told) => {
      setCodes(told.codes);
      setSecret(null);
      setCode('');
    });
  return (
    <section className="card space-y-3 p-5" aria-labelledby="second-factor">
      <h2 id="second-factor" className="text-lg">
        Second factor
      </h2>
      <p className="text-slate">
        {has
          ? 'You sign in with your password and six digits from your authenticator.'
          : 'Six digits from an authenticator on your phone, besides your password.'}
      </p>
      {secret && (
        <form
          className="space-y-3"
          onSubmit={(event) => {
            event.preventDefault();
            run(set());
          }}
        >
          <CodePicture modules={secret.modules} />
          <p>
            Scan it with your authenticator, or type <code className="break-all">{secret.secret}</code> there.
          </p>
          <label className="block">
            <span className="block font-semibold">The six digits it shows</span>
            <input
              className="field mt-1 font-mono text-xl"
              inputMode="numeric"
              autoComplete="one-time-code"
              maxLength={7}
              value={code}
              aria-describedby="key-fault"
              onChange={(event) => setCode(event.target.value)}
            />
          </label>
          <button type="submit" className="button" data-main="true" disabled={code.trim().length < 6}>
            Set it up
          </button>
        </form>
      )}
      {codes && (
        <div role="status" className="space-y-2 rounded-part bg-ice p-3">
          <p>
            <b>It is set up.</b> Write these down for the day you lose your phone. Each works once.
          </p>
          <ul className="grid grid-cols-2 gap-x-4 font-mono">
            {codes.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </div>
      )}
      <KeyFault fault={fault} />
      {!secret && (
        <div className="flex flex-wrap gap-2">
          <button type="button" className="button" disabled={busy} onClick={() => run(begin())}>
            {has ? 'Set up another phone' : 'Set up a second factor'}
          </button>
          {has && (
            <button
              type="button"
              className="button"
              disabled={busy}
              onClick={() => void send('second-factor/end', {})}
            >
              Sign in by password alone
            </button>
          )}
        </div>
      )}
    </section>
  );
}
