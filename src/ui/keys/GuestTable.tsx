'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { GuestTile, GuestView } from '@/services/keys/guest';
import { postJson } from '../door/fetchJson';
import { useFreshTable } from './useFreshTable';

interface Told {
  says: string;
  /** The command, to be undone. */
  id: string | null;
  bad: boolean;
}

/** Takes something, and takes that back. */
function useTaking(): {
  told: Told | null;
  busy: boolean;
  take: (tile: GuestTile) => void;
  undo: () => void;
} {
  const router = useRouter();
  const [told, setTold] = useState<Told | null>(null);
  const [busy, setBusy] = useState(false);
  const send = (command: Record<string, unknown>, undoable: boolean): void => {
    const id = newUuid();
    setBusy(true);
    postJson<{ answers: { says: string }[] }>('/api/v1/commands', { id, ...command })
      .then(({ answers }) => {
        setTold({ says: answers[0]?.says ?? '', id: undoable ? id : null, bad: false });
        router.refresh();
      })
      .catch((error: unknown) =>
        setTold({ says: error instanceof Error ? error.message : 'That did not work.', id: null, bad: true }),
      )
      .finally(() => setBusy(false));
  };
  return {
    told,
    busy,
    take: ({ id, version }) => send({ type: 'package.take', package: id, version }, true),
    undo: () => told?.id && send({ type: 'ledger.undo', command: told.id }, false),
  };
}

/** What was done, said and with its way back. */
function Taken({ told, busy, undo }: { told: Told | null; busy: boolean; undo: () => void }) {
  return (
    <div role="status" className="min-h-14">
      {told && (
        <p
          className={`flex flex-wrap items-center gap-3 rounded-part px-3 py-2 text-lg ${told.bad ? 'bg-beet-tint text-beet' : 'bg-snow'}`}
        >
          {told.says}
          {told.id !== null && (
            <button type="button" className="button" disabled={busy} onClick={undo}>
              Put it back
            </button>
          )}
        </p>
      )}
    </div>
  );
}

/** A guest’s kitchen: what may be taken, and a label to read. */
export function GuestTable({ view }: { view: GuestView }) {
  useFreshTable(view);
  const router = useRouter();
  const taking = useTaking();
  const [code, setCode] = useState('');
  return (
    <>
      <h1 className="text-[1.8rem] leading-tight">Help yourself at {view.household}</h1>
      <Taken {...taking} />
      {view.ready.length === 0 ? (
        <p className="card p-6 text-lg">Nothing stands ready just now. Ask whoever cooks.</p>
      ) : (
        <ul className="grid grid-cols-2 gap-3 md:grid-cols-3">
          {view.ready.map((tile) => (
            <li key={tile.code}>
              <button
                type="button"
                className="flex min-h-28 w-full flex-col items-start justify-between gap-2 rounded-card border-2 border-line bg-snow p-3 text-left hover:border-ink disabled:opacity-60"
                disabled={taking.busy}
                aria-label={`Take ${tile.name}, ${tile.amount_words}`}
                onClick={() => taking.take(tile)}
              >
                <b className="font-heading text-xl leading-tight font-semibold">{tile.name}</b>
                <span className="flex w-full flex-wrap gap-x-2 text-slate">
                  <span>
                    {tile.packs > 1 && <b className="text-ink">{tile.packs} × </b>}
                    {tile.amount_words}
                  </span>
                  <span className="ml-auto">{tile.due_words}</span>
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <form
        className="card mt-5 flex flex-wrap items-end gap-3 p-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (code.trim() !== '') router.push(`/guest/${encodeURIComponent(code.trim().toUpperCase())}`);
        }}
      >
        <label className="min-w-40 flex-1">
          <span className="block text-slate">Code on a label</span>
          <input
            className="field font-mono text-xl"
            maxLength={8}
            autoCapitalize="characters"
            value={code}
            onChange={(event) => setCode(event.target.value)}
          />
        </label>
        <button type="submit" className="button">
          Read it
        </button>
      </form>
      <p className="mt-4 text-slate">
        You are a guest here: what is not shown is not yours to take.{' '}
        <Link href="/join" className="underline underline-offset-4">
          I have another code
        </Link>
      </p>
    </>
  );
}

/** A label that a guest scanned, and its way onto the plate when it may be taken. */
export function TakeLabelled({ tile }: { tile: GuestTile | null }) {
  const taking = useTaking();
  return (
    <div className="mt-4 space-y-3">
      {tile && !taking.told && (
        <button
          type="button"
          className="button text-lg"
          data-main="true"
          disabled={taking.busy}
          onClick={() => taking.take(tile)}
        >
          Take it
        </button>
      )}
      <Taken {...taking} />
      <Link href="/guest" className="button">
        What else may I take?
      </Link>
    </div>
  );
}
