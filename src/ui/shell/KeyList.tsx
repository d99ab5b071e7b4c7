'use client';

import { Sheet } from '../door/Sheet';
import { PLACES } from './places';

const OTHERS = [
  ['/', 'type into the quick line'],
  ['u', 'undo what the newest message tells'],
  ['?', 'show this list'],
  ['Tab', 'in the quick line: finish the word'],
  ['↑', 'in the quick line: the line before'],
  ['Esc', 'close what lies on top'],
] as const;

/** All keys, shown on `?`. */
export function KeyList({ onClose }: { onClose: () => void }) {
  const keys = [...PLACES.map(({ key, name }) => [key, `go to ${name}`] as const), ...OTHERS];
  return (
    <Sheet title="Keys" onClose={onClose}>
      <dl className="grid grid-cols-[3.5rem_1fr] gap-y-2">
        {keys.map(([key, says]) => (
          <div key={key} className="contents">
            <dt className="font-heading font-bold">{key}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
