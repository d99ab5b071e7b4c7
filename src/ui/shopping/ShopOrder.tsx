'use client';

import { ArrowDown, ArrowUp } from 'lucide-react';
import groupNames from '@/services/shopping/groupNames.json';
import { useDoor } from '../door/useDoor';

const NAMES: Readonly<Record<string, string>> = groupNames;

/** The order in which the household goes through the shop, moved a step at a time. */
export function ShopOrder({ order }: { order: string[] }) {
  const { act, busy } = useDoor();
  const move = (at: number, by: number): void => {
    const groups = [...order];
    const [one] = groups.splice(at, 1);
    if (one === undefined) return;
    groups.splice(at + by, 0, one);
    void act({ type: 'shop.order', groups });
  };
  return (
    <ol className="mt-3 grid gap-x-6 sm:grid-cols-2" aria-label="Way through the shop">
      {order.map((group, at) => (
        <li key={group} className="flex items-center gap-1">
          <span className="min-w-0 flex-1">
            {at + 1}. {NAMES[group] ?? group}
          </span>
          {(
            [
              ['earlier', -1, ArrowUp],
              ['later', 1, ArrowDown],
            ] as const
          ).map(([words, by, Mark]) => (
            <button
              key={words}
              type="button"
              className="button border-transparent px-3"
              disabled={busy || at + by < 0 || at + by >= order.length}
              aria-label={`${NAMES[group] ?? group}: ${words}`}
              onClick={() => move(at, by)}
            >
              <Mark aria-hidden size={18} />
            </button>
          ))}
        </li>
      ))}
    </ol>
  );
}
