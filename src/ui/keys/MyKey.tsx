'use client';

import { useState } from 'react';
import type { MembersView } from '@/services/keys/members';
import { countWaiting } from '../door/doorClient';
import { forgetKept } from './forgetKept';
import { KeyField } from './KeyField';
import type { SendKey } from './sendKey';

/** One's own password, and the way out on this device. */
export function MyKey({
  me,
  busy,
  send,
}: {
  me: NonNullable<MembersView['me']>;
  busy: boolean;
  send: SendKey;
}) {
  const [password, setPassword] = useState('');
  const [before, setBefore] = useState('');
  const set = async (): Promise<void> => {
    if (!(await send('password', { password, before }))) return;
    setPassword('');
    setBefore('');
  };
  const [waits, setWaits] = useState(0);
  const out = async (anyway: boolean): Promise<void> => {
    const count = countWaiting(me.id);
    if (count > 0 && !anyway) {
      setWaits(count);
      return;
    }
    await fetch('/api/v1/keys/sign-out', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{}',
    });
    await forgetKept();
    window.location.assign('/sign-in');
  };
  return (
    <section className="card space-y-3 p-5" aria-labelledby="my-key">
      <h2 id="my-key" className="text-lg">
        Your own way in
      </h2>
      <form
        className="space-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          void set();
        }}
      >
        <input type="hidden" autoComplete="username" value={me.name} readOnly />
        {me.has_password && (
          <KeyField
            label="Present password"
            kind="current-password"
            value={before}
            onChange={setBefore}
            describedBy="my-key"
          />
        )}
        <KeyField
          label={me.has_password ? 'New password' : 'A password, to come in on another device'}
          kind="new-password"
          value={password}
          onChange={setPassword}
          describedBy="my-key"
        />
        <div className="flex flex-wrap gap-2">
          <button type="submit" className="button" disabled={busy || password === ''}>
            Set the password
          </button>
          <button type="button" className="button" disabled={busy} onClick={() => void out(waits > 0)}>
            {waits > 0 ? 'Sign out anyway' : 'Sign out here'}
          </button>
        </div>
        {waits > 0 && (
          <p role="alert" className="bg-honey-tint rounded-part px-3 py-2">
            {waits === 1 ? 'One entry has' : `${waits} entries have`} not been sent yet. They stay on this
            device and are sent when you sign in here again; nobody else can send them.
          </p>
        )}
      </form>
    </section>
  );
}
