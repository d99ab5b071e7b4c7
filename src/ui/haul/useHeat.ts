'use client';

import { useEffect, useState } from 'react';
import type { HeatAnswer, HeatCase } from '@/core/thermal/heatHours';
import type { HeatReply } from '@/workers/heatWorker';

const MOST_KEPT = 400;
const answers = new Map<string, HeatAnswer | null>();
const waiting = new Map<number, (reply: HeatReply) => void>();
let worker: Worker | null = null;
let next = 1;

function ask(kase: HeatCase): Promise<HeatReply> {
  if (!worker) {
    worker = new Worker(new URL('../../workers/heatWorker.ts', import.meta.url));
    worker.onmessage = ({ data }: MessageEvent<HeatReply>) => {
      waiting.get(data.id)?.(data);
      waiting.delete(data.id);
    };
  }
  const id = next++;
  const post = worker;
  return new Promise((resolve) => {
    waiting.set(id, resolve);
    post.postMessage({ id, kase });
  });
}

const PAUSE_MS = 90;

/**
 * Answers of the heat model for some cases, worked out in a web worker so that typing and dragging never wait. `undefined`
 * while one is being worked out, `null` where there is none.
 */
export function useHeat(cases: readonly HeatCase[]): (HeatAnswer | null | undefined)[] {
  const keys = cases.map((kase) => JSON.stringify(kase));
  const [, renew] = useState(0);
  const all = keys.join('\n');
  useEffect(() => {
    let stale = false;
    const timer = setTimeout(() => {
      for (const key of all === '' ? [] : all.split('\n')) {
        if (answers.has(key)) continue;
        void ask(JSON.parse(key) as HeatCase).then(({ answer }) => {
          if (answers.size > MOST_KEPT) answers.clear();
          answers.set(key, answer);
          if (!stale) renew((count) => count + 1);
        });
      }
    }, PAUSE_MS);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [all]);
  return keys.map((key) => answers.get(key));
}

/** "25 min", "4.2 h", "2.5 d": two significant figures, never as exact. */
export function sayHours(hours: number | null | undefined): string {
  if (hours === undefined) return '…';
  if (hours === null) return 'over 40 days';
  if (hours < 1) return `${Math.max(1, Number((hours * 60).toPrecision(2)))} min`;
  if (hours < 48) return `${Number(hours.toPrecision(2))} h`;
  return `${Number((hours / 24).toPrecision(2))} days`;
}
