'use client';

import { useState } from 'react';
import type { OutageVerdict } from '@/core/model/outageClass';
import type { StockVerdict } from '@/services/outage/outage';
import { useDoor } from '../door/useDoor';
import { Tape } from '../tape/Tape';
import { RuleName } from '../rules/RuleName';
import type { SeenForm } from './cutForm';
import { SeenButtons } from './SeenButtons';

/** What to do, the most pressing first. The band lends the group its shape and colour. */
const GROUPS: { verdict: OutageVerdict; title: string; none: string; edge: string }[] = [
  { verdict: 'discard', title: 'Throw out', none: 'nothing', edge: 'border-beet' },
  { verdict: 'cook-now', title: 'Cook now', none: '', edge: 'border-ember' },
  { verdict: 'eat-soon', title: 'Eat today or tomorrow', none: '', edge: 'border-ember' },
  { verdict: 'check', title: 'Look first', none: '', edge: 'border-honey' },
  { verdict: 'refreeze-quality-loss', title: 'Freeze again, for cooking', none: '', edge: 'border-honey' },
  { verdict: 'refreeze', title: 'Freeze again', none: '', edge: 'border-ice' },
  { verdict: 'keep', title: 'Keeps', none: 'nothing', edge: 'border-ice' },
];

const CERTAINTY_WORDS = {
  measured: 'seen or measured',
  published: 'published limit',
  assumed: 'assumed, to be safe',
};

type Alike = [StockVerdict, ...StockVerdict[]];

/** Packages of one food and size with the same verdict, evidence and findings are one strip. */
function groupAlike(items: StockVerdict[], seen: Record<string, SeenForm>): Alike[] {
  const groups = new Map<string, Alike>();
  for (const item of items) {
    const { package: view } = item;
    const key = JSON.stringify([
      view.food.name,
      view.amount,
      view.state,
      view.zone?.id,
      item.evidence,
      seen[item.id],
    ]);
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return [...groups.values()];
}

/** Verdicts grouped by what to do; every item gives its reason and takes what was seen of it. */
export function VerdictGroups({
  verdicts,
  seen,
  onSeen,
}: {
  verdicts: StockVerdict[];
  seen: Record<string, SeenForm>;
  onSeen: (ids: string[], seen: SeenForm | null) => void;
}) {
  const { act, busy } = useDoor();
  const [openId, setOpenId] = useState<string | null>(null);
  return (
    <div className="space-y-3">
      {GROUPS.map(({ verdict, title, none, edge }) => {
        const items = verdicts.filter((item) => item.verdict === verdict);
        const alike = groupAlike(items, seen);
        if (items.length === 0 && none === '') return null;
        return (
          <section key={verdict} aria-label={title} className={`card border-l-8 px-4 py-3 ${edge}`}>
            <h3 className="flex items-baseline justify-between text-lg">
              {title} <span aria-label={`${items.length} packages`}>{items.length}</span>
            </h3>
            {items.length === 0 && <p className="text-slate">{none}</p>}
            <ul className="mt-1 flex flex-wrap gap-x-2">
              {alike.map(([item, ...others]) => {
                const open = openId === item.id;
                return (
                  <li key={item.id} className={open ? 'w-full rounded-part bg-rime p-3' : ''}>
                    <button
                      type="button"
                      aria-expanded={open}
                      className="flex min-h-11 max-w-full cursor-pointer items-center"
                      onClick={() => setOpenId(open ? null : item.id)}
                    >
                      <Tape
                        food={item.package.food.name}
                        detail={`${item.package.amount_words}${others.length > 0 ? ` ×${others.length + 1}` : ''}`}
                        band={item.package.band}
                        state={item.package.state}
                      />
                    </button>
                    {open && (
                      <div className="space-y-2">
                        <p className="font-semibold">{item.says}</p>
                        <p className="text-[0.95rem]">
                          {item.evidence}.{' '}
                          <span className="text-slate">
                            Rule <RuleName rule={item.rule} /> · {CERTAINTY_WORDS[item.certainty]} · after{' '}
                            {item.source}
                          </span>
                        </p>
                        <p className="text-[0.95rem] text-slate">
                          {[item, ...others].map(({ package: view }) => view.code).join(', ')} ·{' '}
                          {item.package.story}
                        </p>
                        <SeenButtons
                          frozen={item.package.zone?.cold === 'freezer'}
                          seen={seen[item.id] ?? null}
                          onSeen={(told) =>
                            onSeen(
                              [item, ...others].map(({ id }) => id),
                              told,
                            )
                          }
                        />
                      </div>
                    )}
                  </li>
                );
              })}
            </ul>
            {verdict === 'discard' && items.length > 0 && (
              <button
                type="button"
                className="button mt-2"
                data-danger="true"
                disabled={busy}
                onClick={() =>
                  void act(
                    ...items.slice(0, 100).map(({ package: view }) => ({
                      type: 'package.discard',
                      package: view.id,
                      version: view.version,
                      reason: 'power-cut',
                    })),
                  )
                }
              >
                Bin {items.length === 1 ? 'it' : `these ${Math.min(100, items.length)}`}
              </button>
            )}
          </section>
        );
      })}
    </div>
  );
}
