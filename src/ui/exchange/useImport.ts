'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { FileLook } from '@/services/exchange/lookAtFile';
import type { RunView } from '@/services/exchange/runs';
import { toldHere } from '../door/sendCommands';
import { fetchJson, postJson } from '../door/fetchJson';

const ASK_AGAIN_MS = 500;

/** A file on its way in: looked at, begun, watched, stopped, taken back. */
export interface Import {
  file: File | null;
  look: FileLook | null;
  run: RunView | null;
  fault: string;
  busy: boolean;
  choose: (file: File) => void;
  mapColumn: (at: number, means: string) => void;
  begin: (faulty: 'leave' | 'stop') => void;
  stop: () => void;
  undo: () => void;
  anew: () => void;
}

const sent = (file: File): RequestInit => ({
  method: 'POST',
  headers: { 'content-type': 'application/octet-stream' },
  body: file,
});

export function useImport(): Import {
  const router = useRouter();
  const [file, setFile] = useState<File | null>(null);
  const [look, setLook] = useState<FileLook | null>(null);
  const [run, setRun] = useState<RunView | null>(null);
  const [fault, setFault] = useState('');
  const [busy, setBusy] = useState(false);

  const doing = async (work: () => Promise<void>): Promise<void> => {
    setBusy(true);
    setFault('');
    try {
      await work();
    } catch (error) {
      setFault(error instanceof Error ? error.message : 'That did not work.');
    } finally {
      setBusy(false);
    }
  };
  const columnsOf = (told: FileLook | null): string =>
    told?.kind === 'table'
      ? `&columns=${encodeURIComponent(told.columns.map(({ means }) => means ?? '').join(','))}`
      : '';
  const lookAt = (chosen: File, columns: string): Promise<void> =>
    doing(async () => {
      setLook(
        await fetchJson<FileLook>(
          `/api/v1/exchange/look?name=${encodeURIComponent(chosen.name.slice(0, 100))}${columns}`,
          sent(chosen),
        ),
      );
    });

  const running = run?.state === 'running' ? run.id : null;
  useEffect(() => {
    if (running === null) return;
    const asking = setInterval(() => {
      fetchJson<RunView>(`/api/v1/exchange/runs/${running}`)
        .then((now) => {
          for (const id of now.commands) toldHere.add(id);
          setRun(now);
          if (now.state !== 'running') router.refresh();
        })
        // It is asked again in a moment.
        .catch(() => undefined);
    }, ASK_AGAIN_MS);
    return () => clearInterval(asking);
  }, [running, router]);

  return {
    file,
    look,
    run,
    fault,
    busy,
    choose: (chosen) => {
      setFile(chosen);
      setLook(null);
      setRun(null);
      void lookAt(chosen, '');
    },
    mapColumn: (at, means) => {
      if (look?.kind !== 'table' || !file) return;
      const columns = look.columns.map((column, place) =>
        place === at
          ? { ...column, means: (means || null) as typeof column.means }
          : { ...column, means: column.means === means ? null : column.means },
      );
      setLook({ ...look, columns });
      void lookAt(file, columnsOf({ ...look, columns }));
    },
    begin: (faulty) => {
      if (!file) return;
      void doing(async () => {
        const address = `/api/v1/exchange/begin?name=${encodeURIComponent(file.name.slice(0, 100))}&faulty=${faulty}${columnsOf(look)}`;
        const { id } = await fetchJson<{ id: string }>(address, sent(file));
        setRun(await fetchJson<RunView>(`/api/v1/exchange/runs/${id}`));
      });
    },
    stop: () => {
      if (run)
        void doing(async () => setRun(await postJson<RunView>('/api/v1/exchange/stop', { id: run.id })));
    },
    undo: () => {
      if (run)
        void doing(async () => {
          setRun(await postJson<RunView>('/api/v1/exchange/undo', { id: run.id }));
          router.refresh();
        });
    },
    anew: () => {
      setFile(null);
      setLook(null);
      setRun(null);
      setFault('');
    },
  };
}
