import { type RefObject, useEffect, useRef } from 'react';

/**
 * When the row that had the focus is answered and gone, the one that stands in its place gets it: a day's questions are gone
 * through with one key each.
 *
 * @param rows changes when the rows do
 * @returns for the element around the rows
 */
export function useFocusNext(rows: string): RefObject<HTMLDivElement | null> {
  const list = useRef<HTMLDivElement>(null);
  const at = useRef(-1);
  useEffect(() => {
    const around = list.current;
    const remember = (event: FocusEvent): void => {
      const names = [...(around?.querySelectorAll('[data-row-name]') ?? [])];
      at.current = names.findIndex((name) => name.closest('[data-row]')?.contains(event.target as Node));
    };
    around?.addEventListener('focusin', remember);
    return () => around?.removeEventListener('focusin', remember);
  }, []);
  useEffect(() => {
    if (at.current < 0 || document.activeElement !== document.body) return;
    const names = list.current?.querySelectorAll<HTMLElement>('ol:first-of-type [data-row-name]') ?? [];
    names[Math.min(at.current, names.length - 1)]?.focus();
  }, [rows]);
  return list;
}
