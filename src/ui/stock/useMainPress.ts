import { useEffect, useRef } from 'react';
import { useDoor } from '../door/useDoor';

const press = (row: HTMLElement): void =>
  row.querySelector<HTMLElement>('[data-main-action] button')?.click();

/** Presses the main action of a row; told something already, as soon as the page knows the answer: no key is lost. */
export function useMainPress(): (row: HTMLElement) => void {
  const { busy } = useDoor();
  const waiting = useRef<HTMLElement | null>(null);
  useEffect(() => {
    const row = waiting.current;
    if (busy || !row) return;
    waiting.current = null;
    if (row.isConnected) press(row);
  }, [busy]);
  return (row) => {
    if (busy) waiting.current = row;
    else press(row);
  };
}
