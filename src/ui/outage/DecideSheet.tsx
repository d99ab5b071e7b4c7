'use client';

import { useState } from 'react';
import type { CutDeed } from '@/core/model/cut';
import { Sheet } from '../door/Sheet';
import { useDoor } from '../door/useDoor';
import { Tick } from '../forms/Tick';
import { useSay } from '../units/useSay';
import { DID_WORDS, VERDICT_GROUPS } from './cutWords';
import type { Judged } from './deskOf';
import { sayMoney, sayWorth } from './sayWorth';

const deedOf = ({ verdict }: Judged): CutDeed | null =>
  VERDICT_GROUPS.find((group) => group.verdict === verdict.verdict)?.did ?? null;

/**
 * The list before anything is done: each with its reason, weight and value, ticked off or left. All of it is one deed, with one
 * undo.
 */
export function DecideSheet({
  cut,
  items,
  currency,
  onClose,
}: {
  cut: string;
  items: readonly Judged[];
  currency: string;
  onClose: () => void;
}) {
  const { act, busy } = useDoor();
  const say = useSay();
  const able = items.filter((item) => deedOf(item) !== null);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const chosen = able.filter(({ thing }) => !left.has(thing.id));
  const counts = (Object.keys(DID_WORDS) as CutDeed[]).flatMap((did) => {
    const many = chosen.filter((item) => deedOf(item) === did).length;
    return many === 0 ? [] : [`${many} ${DID_WORDS[did]}`];
  });
  const lost = chosen
    .filter((item) => deedOf(item) === 'discard' && item.verdict.rule !== 'date')
    .map(({ thing }) => thing);
  const decide = (): void => {
    const things = chosen.map((item) => ({
      ...{ package: item.thing.id, version: item.thing.version },
      did: deedOf(item),
    }));
    void act({ type: 'cut.judge', cut, things }).then((answers) => answers && onClose());
  };
  return (
    <Sheet title="Look at the list first" onClose={onClose}>
      <p className="text-slate">
        Untick what shall wait. What you do here leaves the stock, or gets its date and mark; one undo takes
        it all back.
      </p>
      {VERDICT_GROUPS.map(({ verdict, title }) => {
        const its = able.filter((item) => item.verdict.verdict === verdict);
        if (its.length === 0) return null;
        return (
          <section key={verdict} aria-label={title} className="mt-3">
            <h3 className="text-lg">{title}</h3>
            <ul className="divide-y divide-line">
              {its.map(({ thing, verdict: one }) => (
                <li key={thing.id}>
                  <Tick
                    checked={!left.has(thing.id)}
                    onChange={(checked) => {
                      const next = new Set(left);
                      if (checked) next.delete(thing.id);
                      else next.add(thing.id);
                      setLeft(next);
                    }}
                  >
                    <span className="min-w-0">
                      <b className="font-heading font-semibold">{thing.called}</b>{' '}
                      {say(`${thing.amount_words}, `)}
                      {thing.code}
                      {thing.price_minor ? ` · ${sayMoney(thing.price_minor, currency)}` : ''}
                      <span className="block text-[0.9375rem] text-slate">
                        {one.rule === 'date' ? '' : `${one.rule}: `}
                        {say(one.evidence)}
                      </span>
                    </span>
                  </Tick>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
      {lost.length > 0 && (
        <p className="mt-3 font-semibold">
          {lost.length} lost to the cut: {say(sayWorth(lost, currency))}
        </p>
      )}
      <div className="mt-4 flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          data-main={lost.length === 0}
          data-danger={lost.length > 0}
          disabled={busy || chosen.length === 0}
          onClick={decide}
        >
          {chosen.length === 0 ? 'Nothing is ticked' : `Do it: ${counts.join(', ')}`}
        </button>
        <button type="button" className="button" onClick={onClose}>
          Leave it for now
        </button>
      </div>
    </Sheet>
  );
}
