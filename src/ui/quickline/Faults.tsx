'use client';

import { Said } from '../units/Said';
import type { QuickFault, QuickReading } from '@/core/quickline/quickLine';

/** A way to answer what is asked: what stands on it, and the line it makes. */
interface Choice {
  says: string;
  text: string;
  /** It is likely enough for Enter to take it, when it comes first. */
  likely: boolean;
}

const MOST_CHOICES = 6;

/** The ways out of a line's first question, the likeliest first; Enter takes the first, Alt and a figure the others. */
export function choicesOf(reading: Pick<QuickReading, 'text' | 'faults'>): Choice[] {
  const fault = reading.faults.find(({ candidates, unknownFood }) => candidates.length > 0 || unknownFood);
  if (!fault) return [];
  const replaced = fault.candidates.map((candidate) => ({
    says: candidate.trim().replace(/^> /, ''),
    text: withCandidate(reading.text, fault, candidate),
    likely: true,
  }));
  const like = (fault.unknownFood?.like ?? []).map(({ name }) => ({
    says: `${fault.unknownFood?.name}, kept like ${name}`,
    text: `${reading.text.trim()} like ${name.toLowerCase().replaceAll(',', '')}`,
    likely: fault.unknownFood?.groups !== true,
  }));
  return [...replaced.slice(0, 4), ...like].slice(0, MOST_CHOICES);
}

/** The way out that Enter takes: the first, if it is likely. */
export const takenByEnter = ([first]: readonly Choice[]): string | undefined =>
  first?.likely ? first.text : undefined;

function withCandidate(text: string, { from, to }: QuickFault, candidate: string): string {
  return `${text.slice(0, from)}${candidate.toLowerCase().replaceAll(',', '')}${text.slice(to)}`.replace(
    /\s+/g,
    ' ',
  );
}

/** What is asked of a line, each with its ways out in one key. */
export function Faults({
  reading,
  keys = true,
  onPick,
}: {
  reading: QuickReading;
  /** Enter and Alt with a figure pick too. */
  keys?: boolean;
  onPick: (text: string) => void;
}) {
  const choices = choicesOf(reading);
  return (
    <>
      {reading.faults.map((fault, at) => (
        <p key={`${at}-${fault.says}`} className="text-beet">
          <Said>{fault.says}</Said>
        </p>
      ))}
      {choices.length > 0 && (
        <div className="mt-1 flex flex-wrap gap-2">
          {choices.map(({ says, text, likely }, at) => (
            <button key={`${at}-${says}`} type="button" className="button" onClick={() => onPick(text)}>
              {says} {keys && <kbd className="key">{at === 0 && likely ? 'Enter' : `Alt ${at + 1}`}</kbd>}
            </button>
          ))}
        </div>
      )}
    </>
  );
}
