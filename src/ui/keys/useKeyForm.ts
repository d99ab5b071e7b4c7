'use client';

import { useState } from 'react';
import { DoorError, postJson } from '../door/fetchJson';

/** Sends a form to the keys; what went wrong is told, and nothing typed is lost. */
export function useKeyForm(): {
  fault: string;
  /** The code of what was wrong. */
  failed: string;
  busy: boolean;
  send: <Answer>(address: string, body: unknown, then: (answer: Answer) => void) => void;
} {
  const [fault, setFault] = useState('');
  const [failed, setFailed] = useState('');
  const [busy, setBusy] = useState(false);
  return {
    fault,
    failed,
    busy,
    send: <Answer>(address: string, body: unknown, then: (answer: Answer) => void): void => {
      setBusy(true);
      setFault('');
      postJson<Answer>(`/api/v1/keys/${address}`, body, { household: '' })
        .then((answer) => {
          then(answer);
          setBusy(false);
        })
        .catch((error: unknown) => {
          setBusy(false);
          setFailed(error instanceof DoorError ? error.code : '');
          setFault(error instanceof Error ? error.message : 'That did not work. Try again.');
        });
    },
  };
}
