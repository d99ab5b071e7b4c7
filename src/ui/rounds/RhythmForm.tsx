'use client';

import { useState } from 'react';
import type { RoundRhythm } from '@/core/model/round';
import { useDoor } from '../door/useDoor';
import { Choice } from '../forms/Choice';

const FOOD = '';
const FRIDGE = [1, 2, 3, 4, 5, 7, 14];
const FREEZER = [7, 14, 30, 60, 90, 180];

/** How often the household looks; as the foods say where it chose nothing. */
export function RhythmForm({ rhythm }: { rhythm: RoundRhythm }) {
  const { act, busy } = useDoor();
  const [now, setNow] = useState(rhythm);
  const choices = (days: readonly number[]) => [
    [FOOD, 'as the food says'] as const,
    ...days.map((one) => [String(one), one === 1 ? 'every day' : `every ${one} days`] as const),
  ];
  const read = (value: string): number | null => (value === FOOD ? null : Number(value));
  return (
    <details>
      <summary className="min-h-11 cursor-pointer py-2 text-slate">How often to look</summary>
      <div className="flex flex-wrap items-end gap-2">
        <Choice
          label="In fridges"
          value={String(now.fridge ?? FOOD)}
          choices={choices(FRIDGE)}
          onChoose={(value) => setNow({ ...now, fridge: read(value) })}
        />
        <Choice
          label="In freezers"
          value={String(now.freezer ?? FOOD)}
          choices={choices(FREEZER)}
          onChoose={(value) => setNow({ ...now, freezer: read(value) })}
        />
        <button
          type="button"
          className="button"
          disabled={busy}
          onClick={() => void act({ type: 'round.rhythm', rhythm: now })}
        >
          Keep
        </button>
      </div>
    </details>
  );
}
