'use client';

import { useEffect, useRef, useState } from 'react';
import { onProofAsked, postJson } from '../door/fetchJson';
import { Sheet } from '../door/Sheet';
import { KeyFault, KeyField } from './KeyField';

/** Asks for the password again before something that cannot be taken back, and then goes on with it. */
export function ProofSheet() {
  const [asked, setAsked] = useState(false);
  const [password, setPassword] = useState('');
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState(false);
  const answer = useRef<(proved: boolean) => void>(() => undefined);
  useEffect(() => {
    onProofAsked(
      () =>
        new Promise((resolve) => {
          answer.current = resolve;
          setAsked(true);
        }),
    );
    return () => onProofAsked(null);
  }, []);
  const close = (proved: boolean): void => {
    setAsked(false);
    setPassword('');
    setFault('');
    answer.current(proved);
  };
  const send = async (): Promise<void> => {
    setBusy(true);
    try {
      await postJson('/api/v1/keys/prove', { password });
      close(true);
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'That did not work. Try again.');
    } finally {
      setBusy(false);
    }
  };
  if (!asked) return null;
  return (
    <Sheet title="Is it still you?" onClose={() => close(false)}>
      <form
        className="space-y-4"
        onSubmit={(event) => {
          event.preventDefault();
          void send();
        }}
      >
        <p className="text-lg">
          This can’t be undone, so please type your password again. It counts for ten minutes.
        </p>
        <KeyField
          label="Your password"
          kind="current-password"
          value={password}
          onChange={setPassword}
          autoFocus
        />
        <KeyFault fault={fault} />
        <div className="flex flex-wrap gap-2">
          <button type="submit" className="button" data-main="true" disabled={busy || password === ''}>
            Go on
          </button>
          <button type="button" className="button" onClick={() => close(false)}>
            Not now
          </button>
        </div>
      </form>
    </Sheet>
  );
}
