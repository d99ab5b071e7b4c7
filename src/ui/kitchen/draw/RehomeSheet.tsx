'use client';

import { useState } from 'react';
import type { DrawView } from '@/services/kitchen/kitchenDrawing';
import { Choice } from '../../forms/Choice';
import { Sheet } from '../../door/Sheet';

interface Target {
  id: string;
  name: string;
  cold: 'fridge' | 'freezer';
}

/** Asks where the packages go of zones that are taken out; nothing is left without a place. */
export function RehomeSheet({
  emptied,
  targets,
  onClose,
  onDecide,
}: {
  emptied: DrawView['lying'];
  targets: Target[];
  onClose: () => void;
  onDecide: (rehome: { zone: string; to: string | null }[]) => void;
}) {
  const [chosen, setChosen] = useState<Record<string, string>>({});
  return (
    <Sheet title="Where does the food go?" onClose={onClose}>
      <p className="mb-3">
        Food lies in zones that you took out. Say where each goes; it moves when you save.
      </p>
      <div className="space-y-3">
        {emptied.map(({ zone, name, cold, packages }) => (
          <Choice
            key={zone}
            label={`${packages} ${packages === 1 ? 'package' : 'packages'} of ${name}`}
            value={chosen[zone] ?? ''}
            choices={[
              ['', 'choose'],
              ...targets
                .filter((target) => target.cold === cold)
                .map((target): [string, string] => [target.id, target.name]),
              ['counter', 'the counter: their minutes begin to run'],
            ]}
            onChoose={(to) => setChosen((all) => ({ ...all, [zone]: to }))}
          />
        ))}
      </div>
      <button
        type="button"
        className="button mt-4"
        data-main="true"
        disabled={emptied.some(({ zone }) => (chosen[zone] ?? '') === '')}
        onClick={() =>
          onDecide(
            emptied.map(({ zone }) => ({
              zone,
              to: chosen[zone] === 'counter' ? null : (chosen[zone] ?? null),
            })),
          )
        }
      >
        Save, and move the food
      </button>
    </Sheet>
  );
}
