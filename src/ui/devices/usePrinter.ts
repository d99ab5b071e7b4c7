'use client';

import { useCallback, useEffect, useSyncExternalStore } from 'react';
import { enqueue, feed, NEW_PRINTER, type Printer, readPrinter, type Strip } from '@/devices/labelPrinter';

const KEPT = 'orderly-frost-label-printer';
const BY_HAND = 'orderly-frost-labels-by-hand';
const STRIP_MS = 450;

interface Desk {
  printer: Printer;
  /** The cook writes on tape: nothing is printed. */
  byHand: boolean;
}

export interface PrinterDesk extends Desk {
  writeByHand(byHand: boolean): void;
  print(strips: readonly Strip[]): void;
  /** Does something to the printer: new paper, a jam, on and off. */
  turn(act: (printer: Printer) => Printer): void;
}

const FIRST: Desk = { printer: NEW_PRINTER, byHand: false };
let present: Desk | null = null;
const listeners = new Set<() => void>();

function read(): Desk {
  present ??= {
    printer: readPrinter(localStorage.getItem(KEPT)),
    byHand: localStorage.getItem(BY_HAND) === 'yes',
  };
  return present;
}

function write(next: Desk): void {
  present = next;
  localStorage.setItem(KEPT, JSON.stringify(next.printer));
  localStorage.setItem(BY_HAND, next.byHand ? 'yes' : '');
  for (const listen of listeners) listen();
}

function subscribe(listen: () => void): () => void {
  listeners.add(listen);
  return () => listeners.delete(listen);
}

/** The label printer of this machine; what waits is kept through a reload. */
export function usePrinter(): PrinterDesk {
  const desk = useSyncExternalStore(subscribe, read, () => FIRST);
  const { printer } = desk;
  const turn = useCallback((act: (printer: Printer) => Printer) => {
    write({ ...read(), printer: act(read().printer) });
  }, []);
  const busy = printer.state === 'ready' && printer.queue.length > 0;
  useEffect(() => {
    if (!busy) return;
    const timer = setInterval(() => turn(feed), STRIP_MS);
    return () => clearInterval(timer);
  }, [busy, turn]);
  const print = useCallback(
    (strips: readonly Strip[]) => {
      if (!read().byHand) turn((now) => enqueue(now, strips));
    },
    [turn],
  );
  const writeByHand = useCallback((byHand: boolean) => {
    const now = read();
    write({ byHand, printer: byHand ? { ...now.printer, queue: [] } : now.printer });
  }, []);
  return { ...desk, turn, print, writeByHand };
}
