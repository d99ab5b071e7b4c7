'use client';

import { useEffect, useSyncExternalStore } from 'react';
import type { CutRequest } from '@/core/powercut/cutForecast';
import type { CutForecast } from '@/core/powercut/forecastCut';
import type { CutReply } from '@/workers/cutWorker';

const MOST_KEPT = 200;
const answers = new Map<string, CutForecast>();
const waiting = new Map<number, (forecast: CutForecast) => void>();
const asked = new Set<string>();
let worker: Worker | null = null;
let next = 1;

function ask(request: CutRequest): Promise<CutForecast> {
  if (!worker) {
    worker = new Worker(new URL('../../workers/cutWorker.ts', import.meta.url));
    worker.onmessage = ({ data }: MessageEvent<CutReply>) => {
      waiting.get(data.id)?.(data.forecast);
      waiting.delete(data.id);
    };
  }
  const id = next++;
  const post = worker;
  return new Promise((resolve) => {
    waiting.set(id, resolve);
    post.postMessage({ id, request });
  });
}

/** Everyone who waits hears of every answer: who asked first may be gone by then. */
const listeners = new Set<() => void>();
let answered = 0;
function subscribe(changed: () => void): () => void {
  listeners.add(changed);
  return () => listeners.delete(changed);
}

/** Forecasts of some cuts, worked out in a web worker, on a phone and without a network too; `undefined` while one is not ready. */
export function useForecasts(requests: readonly CutRequest[]): (CutForecast | undefined)[] {
  const keys = requests.map((request) => JSON.stringify(request));
  useSyncExternalStore(
    subscribe,
    () => answered,
    () => 0,
  );
  const all = keys.join('\n');
  useEffect(() => {
    for (const key of all === '' ? [] : all.split('\n')) {
      if (answers.has(key) || asked.has(key)) continue;
      asked.add(key);
      void ask(JSON.parse(key) as CutRequest).then((forecast) => {
        if (answers.size > MOST_KEPT) answers.clear();
        answers.set(key, forecast);
        asked.delete(key);
        answered += 1;
        for (const changed of listeners) changed();
      });
    }
  }, [all]);
  return keys.map((key) => answers.get(key));
}
