'use client';

import { Sheet } from '../door/Sheet';
import { ANSWER_KEYS, ANSWER_WORDS, type AnswerChoice } from '@/core/firstout/answerChoices';
import { PLACES } from './places';

const OTHERS = [
  ['/', 'type into the quick line'],
  ['u', 'undo what the newest message tells'],
  ['?', 'show this list'],
  ['Tab', 'in the quick line: finish the word'],
  ['↑', 'in the quick line: the line before'],
  ['↓ ↑', 'on Today: along first out'],
  ...(Object.keys(ANSWER_WORDS) as AnswerChoice[]).map(
    (choice) =>
      [ANSWER_KEYS[choice], `on a row of first out: ${ANSWER_WORDS[choice].toLowerCase()}`] as const,
  ),
  ['Esc', 'close what lies on top'],
] satisfies (readonly [string, string])[];

/** All keys, shown on `?`. */
export function KeyList({ onClose }: { onClose: () => void }) {
  const keys = [...PLACES.map(({ key, name }) => [key, `go to ${name}`] as const), ...OTHERS];
  return (
    <Sheet title="Keys" onClose={onClose}>
      <dl className="grid grid-cols-[3.5rem_1fr] gap-y-2">
        {keys.map(([key, says]) => (
          <div key={says} className="contents">
            <dt className="font-heading font-bold">{key}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
