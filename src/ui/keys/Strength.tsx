'use client';

import { useAsk } from '../door/useRead';
import { useSettled } from '../door/useSettled';

const WORDS = ['Very easy to guess', 'Easy to guess', 'Hard enough', 'Hard to guess', 'Very hard to guess'];

/** How hard a password is to guess, while it is being typed. */
export function Strength({ password }: { password: string }) {
  const asked = useSettled({ password }, 500);
  const { body } = useAsk<{ score: number; says: string }>('/api/v1/keys/strength', asked);
  if (!body) return null;
  return (
    <div className="mt-1 flex flex-wrap items-center gap-x-3 text-slate" role="status">
      <meter className="w-28" min={0} max={4} low={2} optimum={4} value={body.score} aria-label="Strength" />
      {body.says === '' ? WORDS[body.score] : body.says}
    </div>
  );
}
