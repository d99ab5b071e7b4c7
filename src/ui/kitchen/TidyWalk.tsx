'use client';

import { Check } from 'lucide-react';
import { useState } from 'react';
import type { MoveView, StopView } from '@/services/kitchen/kitchenCheck';
import { useDoor } from '../door/useDoor';

const keyOf = ({ packages }: MoveView): string => packages[0]?.id ?? '';

/** The walk from door to door; a move is written down when it is ticked where it ends. */
export function TidyWalk({ stops }: { stops: StopView[] }) {
  const [done, setDone] = useState<ReadonlySet<string>>(new Set());
  // The walk stays as it was laid out while one is on it; what is done is ticked, not taken away.
  const [walk] = useState(stops);
  const { act, busy } = useDoor();
  const tick = async (move: MoveView): Promise<void> => {
    const answers = await act(
      ...move.packages.map(({ id, version }) => ({
        type: 'package.move',
        package: id,
        version,
        zone: move.to_zone,
      })),
    );
    if (answers) setDone((all) => new Set([...all, keyOf(move)]));
  };
  const line = (move: MoveView, words: string, ends: boolean) => (
    <li key={`${keyOf(move)} ${words}`} className="flex items-center gap-3 py-2">
      <span className="min-w-0 flex-1">
        <b className="font-heading font-semibold">
          {move.called}
          {move.packages.length > 1 && ` ×${move.packages.length}`}
        </b>{' '}
        {words}
        <span className="block text-[0.9375rem] text-slate">
          {move.says} · gains {Math.round(move.gain)}
        </span>
      </span>
      {ends && (
        <button
          type="button"
          className="button"
          data-main={!done.has(keyOf(move))}
          disabled={busy || done.has(keyOf(move))}
          aria-label={`Moved: ${move.called} to ${move.to}`}
          onClick={() => void tick(move)}
        >
          {done.has(keyOf(move)) ? <Check aria-hidden size={20} /> : 'Moved'}
        </button>
      )}
    </li>
  );
  return (
    <ol className="grid gap-3 lg:grid-cols-2">
      {walk.map((stop, at) => (
        <li key={`${stop.appliance} ${at}`} className="card p-4">
          <h2 className="text-lg">
            {at + 1}. {stop.name}
          </h2>
          <ul className="divide-y divide-line">
            {stop.into.map((move) => line(move, `goes into ${move.to}`, true))}
            {stop.inside.map((move) => line(move, `from ${move.from} to ${move.to}`, true))}
            {stop.out.map((move) => line(move, `comes out of ${move.from}, for ${move.to}`, false))}
          </ul>
        </li>
      ))}
    </ol>
  );
}
