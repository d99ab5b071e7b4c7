'use client';

import { Camera } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useCallback, useRef, useState } from 'react';
import { codeReader } from '@/devices/scanner';
import type { FindView } from '@/services/stock/find';
import { fetchJson } from '../door/fetchJson';
import { useDoor } from '../door/useDoor';
import { readPhoto, useCamera } from './useCamera';

const SHEET = /\/stock\/sheet\?code=([A-Z]{2}\d{2,5})$/i;

/** A label before the camera, on a photo, or typed: what carries its code is opened. */
export function LabelScan({ onFound }: { onFound: () => void }) {
  const router = useRouter();
  const { showPackage } = useDoor();
  const video = useRef<HTMLVideoElement>(null);
  const reader = useRef(codeReader());
  const [typed, setTyped] = useState('');
  const [says, setSays] = useState('');
  const open = useCallback(
    async (code: string): Promise<void> => {
      const { groups, gone } = await fetchJson<FindView>(`/api/v1/find?q=${encodeURIComponent(code)}`).catch(
        () => ({
          groups: [],
          gone: [],
        }),
      );
      const [here] = groups;
      if (here || gone.length > 0 || /^[A-Z]{2}\d+$/.test(code)) {
        onFound();
        showPackage(here?.first.code ?? code);
      } else
        setSays(`“${code}” is no code of a label here. A code is two letters and two figures, such as KT47.`);
    },
    [onFound, showPackage],
  );
  const seen = useCallback(
    (text: string): void => {
      const sheet = SHEET.exec(text)?.[1];
      if (sheet) {
        onFound();
        router.push(`/stock/sheet?code=${sheet.toUpperCase()}`);
        return;
      }
      const scan = reader.current.see({ at: Date.now(), code: text });
      if (!scan) return;
      if (scan.kind === 'package') void open(scan.code);
      else
        setSays(
          `That is no label of ours: ${scan.code}. What comes home from the shop is scanned on the bench.`,
        );
    },
    [onFound, open, router],
  );
  const fault = useCamera(video, seen);
  const photo = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setSays('Reading the photo …');
    const code = await readPhoto(file);
    setSays(
      code === null
        ? 'No code could be read on that photo. Come closer, hold it flat, or type the code.'
        : '',
    );
    // A photo does not shake: once is enough.
    if (code !== null) for (const _ of [1, 2]) seen(code);
  };
  return (
    <section aria-labelledby="label-scan" className="mt-3 space-y-3">
      <h3 id="label-scan" className="text-lg">
        Scan a label
      </h3>
      {fault === null ? (
        <video
          ref={video}
          muted
          playsInline
          className="aspect-video w-full rounded-card bg-strip object-cover"
        />
      ) : (
        <p className="rounded-card border border-line p-3">
          {fault === 'refused'
            ? 'The browser was told not to give the camera to this page. Allow it in its settings, take a photo, or type the code.'
            : 'The browser gives no camera here; most do so only over https or on this machine. Take a photo, or type the code.'}
        </p>
      )}
      <label className="button inline-flex cursor-pointer items-center gap-2 focus-within:outline-2">
        <Camera aria-hidden size={20} /> From a photo
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          onChange={(event) => void photo(event.target.files?.[0])}
        />
      </label>
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (typed.trim() !== '') void open(typed.trim().toUpperCase());
        }}
      >
        <label className="min-w-0 flex-1">
          <span className="block text-slate">or the code on it</span>
          <input
            className="field uppercase"
            value={typed}
            maxLength={12}
            autoComplete="off"
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <button type="submit" className="button" data-main="true" disabled={typed.trim() === ''}>
          Open
        </button>
      </form>
      <p role="status" className="min-h-6">
        {says}
      </p>
    </section>
  );
}
