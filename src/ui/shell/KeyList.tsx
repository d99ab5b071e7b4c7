'use client';

import { Sheet } from '../door/Sheet';
import { ANSWER_KEYS, ANSWER_WORDS, type AnswerChoice } from '@/core/firstout/answerChoices';
import { beginLine } from '../quickline/beginLine';
import { PLACES } from './places';

const OTHERS = [
  ['/', 'type into the quick line'],
  ['f', 'find: where, how many, how old, which first'],
  ['u', 'undo what the newest message tells'],
  ['?', 'show this list'],
  ['Tab', 'in the quick line: finish the word'],
  ['↑', 'in the quick line: the line before'],
  ['↓ ↑', 'on Today: along first out'],
  ...(Object.keys(ANSWER_WORDS) as AnswerChoice[]).map(
    (choice) =>
      [ANSWER_KEYS[choice], `on a row of first out: ${ANSWER_WORDS[choice].toLowerCase()}`] as const,
  ),
  ['x', 'on a row of first out: tick it, to answer several at once; in Stock: choose it'],
  ['→ ←', 'in Stock: open a group, close it'],
  ['−', 'in Stock: take the one that goes first'],
  ['a', 'on a row of first out: as last time'],
  ['1 to 9', 'the reason, the day or the zone that is asked'],
  ['Enter', 'in the quick line: store it, or take the first answer to what it asks'],
  ['Alt 2', 'in the quick line: take the second'],
  ['Esc', 'close what lies on top'],
] satisfies (readonly [string, string])[];

/** Lines to learn from: each shows another part of the grammar. */
const EXAMPLES = [
  ['500 g mince / 4', 'a weight, split in four'],
  ['5 boxes of broth 300 ml each', 'counts of vessels'],
  ['3 lemons', 'pieces'],
  ['milk 2 l bb 4 dec in the door', 'a printed date and a place'],
  ['chowder 3 l cooked yesterday / 6 jars frozen', 'what happened, and when'],
  ['stew 2 tubs since spring > layer 2', 'an age nobody dated'],
  ['quince 1 kg like pears', 'a food that is not known, kept like one that is'],
  ['take 200 g cheddar', 'what goes first, by amount'],
  ['take 3 stew', 'packs'],
  ['move trout > layer 1', 'to another place'],
  ['bin yogurt mouldy', 'out, with the reason'],
  ['where is the butter', 'where it lies'],
  ['undo', 'the last thing, back'],
] as const;

/** All keys and the line’s grammar, shown on `?`. */
export function KeyList({ onClose }: { onClose: () => void }) {
  const keys = [...PLACES.map(({ key, name }) => [key, `go to ${name}`] as const), ...OTHERS];
  return (
    <Sheet title="Keys, and what the line understands" onClose={onClose}>
      <dl className="grid grid-cols-[3.5rem_1fr] gap-y-2">
        {keys.map(([key, says]) => (
          <div key={says} className="contents">
            <dt className="font-heading font-bold">{key}</dt>
            <dd>{says}</dd>
          </div>
        ))}
      </dl>
      <h3 className="mt-5 text-lg">What the line understands</h3>
      <p className="text-slate">In any order, in your own words. Press one to try it.</p>
      <ul className="mt-2 space-y-2">
        {EXAMPLES.map(([line, says]) => (
          <li key={line} className="flex flex-wrap items-center gap-x-3">
            <button
              type="button"
              className="button"
              onClick={() => {
                onClose();
                beginLine(line);
              }}
            >
              {line}
            </button>
            <span className="text-slate">{says}</span>
          </li>
        ))}
      </ul>
      <p className="mt-4">
        <a href="/api/v1/guide" className="text-deep underline" target="_blank" rel="noreferrer">
          The guide on one page, to print
        </a>
      </p>
    </Sheet>
  );
}
