'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { enqueue, feed, NEW_PRINTER, type Printer, readPrinter, type Strip } from '@/devices/labelPrinter';

const KEPT = 'orderly-frost-label-printer';
const BY_HAND = 'orderly-frost-labels-by-hand';
const STRIP_MS = 450;

export interface PrinterDesk {
  printer: Printer;
  /** The cook writes on tape: nothing is printed. */
  byHand: boolean;
  writeByHand(byHand: boolean): void;
  print(strips: readonly Strip[]): void;
  /** Does something to the printer: new paper, a jam, on and off. */
  turn(act: (printer: Printer) => Printer): void;
}

/** The label printer of this machine; what waits is kept through a reload. */
export function usePrinter(): PrinterDesk {
  const [printer, setPrinter] = useState(NEW_PRINTER);
  const [byHand, setByHand] = useState(false);
  const begun = useRef(false);
  useEffect(() => {
    setPrinter(readPrinter(localStorage.getItem(KEPT)));
    setByHand(localStorage.getItem(BY_HAND) === 'yes');
    begun.current = true;
  }, []);
  const turn = useCallback((act: (printer: Printer) => Printer) => {
    setPrinter((now) => {
      const next = act(now);
      if (begun.current) localStorage.setItem(KEPT, JSON.stringify(next));
      return next;
    });
  }, []);
  const busy = printer.state === 'ready' && printer.queue.length > 0;
  useEffect(() => {
    if (!busy) return;
    const timer = setInterval(() => turn(feed), STRIP_MS);
    return () => clearInterval(timer);
  }, [busy, turn]);
  const print = useCallback(
    (strips: readonly Strip[]) => {
      if (!byHand) turn((now) => enqueue(now, strips));
    },
    [turn, byHand],
  );
  const writeByHand = useCallback(
    (wanted: boolean) => {
      setByHand(wanted);
      localStorage.setItem(BY_HAND, wanted ? 'yes' : '');
      if (wanted) turn((now) => ({ ...now, queue: [] }));
    },
    [turn],
  );
  return { printer, byHand, writeByHand, print, turn };
}
