'use client';

import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useState, useSyncExternalStore } from 'react';
import { Tick } from '../forms/Tick';
import { COLUMNS } from './stockLines';

type Shown = Record<string, boolean>;

const KEPT = 'orderly-frost-stock-columns';
const USUAL: Shown = { comes: false };

function kept(): string {
  try {
    return localStorage.getItem(KEPT) ?? '';
  } catch {
    return '';
  }
}

const never = (): (() => void) => () => undefined;

/** Which columns are shown, kept on this device. */
export function useColumns(): [Shown, (shown: Shown) => void] {
  const before = useSyncExternalStore(never, kept, () => '');
  const [changed, setChanged] = useState<Shown | null>(null);
  let shown = USUAL;
  try {
    shown = changed ?? (before === '' ? USUAL : (JSON.parse(before) as Shown));
  } catch {
    // What cannot be read is as usual.
  }
  return [
    shown,
    (next) => {
      setChanged(next);
      try {
        localStorage.setItem(KEPT, JSON.stringify(next));
      } catch {
        // Then it lives as long as the page.
      }
    },
  ];
}

/** Chooses the columns. */
export function ColumnChoice({ shown, onShown }: { shown: Shown; onShown: (shown: Shown) => void }) {
  return (
    <Popover className="relative">
      <PopoverButton className="button">Columns</PopoverButton>
      <PopoverPanel className="card absolute right-0 z-30 mt-1 w-64 p-3 shadow-2xl">
        {COLUMNS.map(([id, name]) => (
          <Tick key={id} checked={shown[id] !== false} onChange={(on) => onShown({ ...shown, [id]: on })}>
            {name}
          </Tick>
        ))}
      </PopoverPanel>
    </Popover>
  );
}
