'use client';

import { useState } from 'react';
import type { Seen } from '@/core/model/cut';
import { useDoor } from '../door/useDoor';
import { RuleName } from '../rules/RuleName';
import { Tape } from '../tape/Tape';
import { Said } from '../units/Said';
import { useSay } from '../units/useSay';
import { CERTAINTY_WORDS, VERDICT_GROUPS } from './cutWords';
import type { Judged } from './deskOf';
import { SeenButtons } from './SeenButtons';
import { IfMay } from '../door/IfMay';

type Alike = [Judged, ...Judged[]];

/** Packages of one food and size with the same verdict, evidence and findings are one strip. */
function groupAlike(items: readonly Judged[]): Alike[] {
  const groups = new Map<string, Alike>();
  for (const item of items) {
    const { thing, verdict, seen } = item;
    const key = JSON.stringify([
      ...[thing.called, thing.amount, thing.state, thing.zoneId, verdict.evidence],
      ...[seen?.seen, seen?.movedTo],
    ]);
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return [...groups.values()];
}

/** Verdicts grouped by what to do, the most pressing first; every one gives rule, evidence, how sure, source, and what would change it. */
export function VerdictGroups({
  judged,
  zones,
  onSeen,
  onDecide,
}: {
  judged: readonly Judged[];
  /** Names of zones by id. */
  zones: ReadonlyMap<string, string>;
  onSeen: (ids: string[], seen: Seen) => void;
  /** Looks at the list of a group before anything is done; `null` while the power is off. */
  onDecide: ((items: Judged[]) => void) | null;
}) {
  const { busy, showPackage } = useDoor();
  const say = useSay();
  const [openId, setOpenId] = useState<string | null>(null);
  return (
    <div className="space-y-3">
      {VERDICT_GROUPS.map(({ verdict, title, edge, did, button }) => {
        const items = judged.filter((item) => item.verdict.verdict === verdict);
        if (items.length === 0 && verdict !== 'discard') return null;
        return (
          <section key={verdict} aria-label={title} className={`card border-l-8 px-4 py-3 ${edge}`}>
            <h3 className="flex items-baseline justify-between text-lg">
              {title} <span aria-label={`${items.length} packages`}>{items.length}</span>
            </h3>
            {items.length === 0 && <p className="text-slate">nothing so far</p>}
            <ul className="mt-1 flex flex-wrap gap-x-2">
              {groupAlike(items).map(([item, ...others]) => {
                const { thing, verdict: its, seen } = item;
                const open = openId === thing.id;
                const all = [item, ...others];
                return (
                  <li key={thing.id} className={open ? 'w-full rounded-part bg-rime p-3' : ''}>
                    <button
                      type="button"
                      aria-expanded={open}
                      className="flex min-h-11 max-w-full cursor-pointer items-center"
                      onClick={() => setOpenId(open ? null : thing.id)}
                    >
                      <Tape
                        food={thing.called}
                        detail={say(`${thing.amount_words}${others.length > 0 ? ` ×${all.length}` : ''}`)}
                        band={thing.band}
                        state={thing.state}
                      />
                    </button>
                    {open && (
                      <div className="space-y-2">
                        <p className="font-semibold">
                          <Said>{its.says}</Said>
                        </p>
                        <p className="text-[0.9375rem]">
                          <Said>{its.evidence}</Said>.{' '}
                          <span className="text-slate">
                            Rule <RuleName rule={its.rule} /> · {CERTAINTY_WORDS[its.certainty]} · after{' '}
                            {its.source}
                          </span>
                        </p>
                        {its.wants.length > 0 && (
                          <p className="text-[0.9375rem]">
                            <b className="font-semibold">What would change it: </b>
                            <Said>{its.wants.join(' ')}</Said>
                          </p>
                        )}
                        <p className="text-[0.9375rem] text-slate">
                          {zones.get(thing.zoneId ?? '') ?? 'counter'} ·{' '}
                          {all.map(({ thing: one }) => (
                            <button
                              key={one.code}
                              type="button"
                              className="min-h-11 min-w-11 cursor-pointer px-1 text-deep underline"
                              onClick={() => showPackage(one.code)}
                            >
                              {one.code}
                            </button>
                          ))}
                        </p>
                        <IfMay type="cut.see">
                          <SeenButtons
                            frozen={thing.state === 'frozen'}
                            seen={seen?.seen ?? {}}
                            onSeen={(told) =>
                              onSeen(
                                all.map(({ thing: one }) => one.id),
                                told,
                              )
                            }
                          />
                        </IfMay>
                      </div>
                    )}
                  </li>
                );
              })}
            </ul>
            {onDecide && did && items.length > 0 && (
              <button
                type="button"
                className="button mt-2"
                data-danger={did === 'discard'}
                disabled={busy}
                onClick={() => onDecide(items)}
              >
                {button} …
              </button>
            )}
          </section>
        );
      })}
    </div>
  );
}
