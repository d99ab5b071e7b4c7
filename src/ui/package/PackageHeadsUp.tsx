'use client';

import { useState } from 'react';
import type { AnswerChoice } from '@/core/firstout/answerChoices';
import type { PackageDetail } from '@/services/stock/package';
import { AnswerBar } from './AnswerBar';
import { IfMay } from '../door/IfMay';

/** What the package asks, and the answers. */
export function PackageHeadsUp({ detail }: { detail: PackageDetail }) {
  const [asked, setAsked] = useState<AnswerChoice | null>(null);
  const { heads_up, id, code, version } = detail;
  return (
    <section aria-labelledby={`asks-${code}`}>
      <h2 id={`asks-${code}`} className="mb-1 text-lg">
        {heads_up.answered_words === '' ? 'What will become of it?' : `Answered: ${heads_up.answered_words}`}
      </h2>
      <IfMay type="package.answer">
        <AnswerBar
          answered={{
            name: detail.food.name,
            stage: heads_up,
            packages: [{ id, code, version }],
            today: detail.today,
          }}
          asked={asked}
          onAsk={setAsked}
          onDone={() => setAsked(null)}
        />
      </IfMay>
    </section>
  );
}
