import { type RefObject, useState } from 'react';
import { flushSync } from 'react-dom';
import type { SeenRow } from '@/services/today/seenToday';

/** A row as it was answered: told anew, or come back by an undo, it is another. */
const keyOf = ({ packages }: SeenRow): string => packages.map(({ id, version }) => `${id} ${version}`).join();

/**
 * Rows whose answer is on its way: they leave the list at once, and the focus goes to the next one, so that keys typed meanwhile are
 * for that. What is refused comes back.
 */
export function useRowsAnswered(list: RefObject<HTMLElement | null>): {
  isSent: (row: SeenRow) => boolean;
  answered: (row: SeenRow, done: Promise<unknown>) => void;
} {
  const [sent, setSent] = useState<ReadonlySet<string>>(new Set());
  const answered = (row: SeenRow, done: Promise<unknown>): void => {
    const names = [
      ...(list.current?.querySelectorAll<HTMLElement>('ol:first-of-type [data-row-name]') ?? []),
    ];
    const at = names.findIndex(
      (name) => name.closest<HTMLElement>('[data-row]')?.dataset.row === row.view.id,
    );
    const next = names[at + 1] ?? names[at - 1];
    flushSync(() => setSent((before) => new Set([...before, keyOf(row)])));
    next?.focus();
    const comesBack = (): void =>
      setSent((before) => new Set([...before].filter((key) => key !== keyOf(row))));
    done.then((answers) => answers ?? comesBack(), comesBack);
  };
  return { isSent: (row) => sent.has(keyOf(row)), answered };
}
