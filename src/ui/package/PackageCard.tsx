'use client';

import { useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { useDoor } from '../door/useDoor';
import { PhotoForm } from './more/PhotoForm';
import { PutBackForm } from './more/PutBackForm';
import { Tape } from '../tape/Tape';
import { TrailLines } from './DateTrail';
import { PackageActions } from './PackageActions';
import { PackageHeadsUp } from './PackageHeadsUp';
import { WhatIf } from './WhatIf';
import { IfMay } from '../door/IfMay';

const VERDICT_WORDS: Record<PackageDetail['verdict'], string> = {
  eat: 'Good to eat.',
  'look-first': 'Past its best: look and smell first.',
  ask: 'It went through a power cut: decide it at the outage desk first.',
  discard: 'Not for eating: throw it out.',
};

const MAY_BE_EATEN: PackageDetail['verdict'][] = ['eat', 'look-first'];

/** It was taken today, or lost, and is here after all. */
function ComeBack({ detail }: { detail: PackageDetail }) {
  const { act } = useDoor();
  return (
    <section>
      <h2 className="text-lg">It is here after all?</h2>
      <PutBackForm
        detail={detail}
        run={(type, more) => void act({ type, package: detail.id, version: detail.version, ...more })}
      />
    </section>
  );
}

/** Everything about one package: how it stands, what can be done, why its date is what it is. */
export function PackageCard({ detail }: { detail: PackageDetail }) {
  const [curious, setCurious] = useState(false);
  const mayEatIt = !detail.gone && detail.not_for !== '' && MAY_BE_EATEN.includes(detail.verdict);
  const facts: [string, string][] = [
    ['Code', [detail.code, ...detail.old_codes.map((code) => `before ${code}`)].join(', ')],
    ...(detail.food.judged_as === detail.food.name
      ? []
      : [['Judged as', detail.food.judged_as] as [string, string]]),
    [
      'Place',
      detail.zone ? `${detail.zone.name}, ${detail.zone.appliance}` : detail.gone ? 'gone' : 'on the counter',
    ],
    ['State', [detail.state, detail.opened ? 'opened' : ''].filter((word) => word !== '').join(', ')],
    [
      'Packed',
      [detail.form ?? '', detail.wrap?.replace('-', ' ') ?? ''].filter((word) => word !== '').join(', ') ||
        'as it came',
    ],
    ...(detail.cap === null ? [] : [['Pot', `use me at ${detail.cap} ${detail.unit}`] as [string, string]]),
    ...(detail.price_words ? [['Cost', detail.price_words] as [string, string]] : []),
  ];
  return (
    <div className="space-y-5">
      <div>
        <Tape food={detail.food.name} detail={detail.amount_words} band={detail.band} state={detail.state} />
        <p className="mt-3 font-heading text-2xl font-semibold first-letter:uppercase">{detail.due_full}</p>
        <p
          className={`first-letter:uppercase ${detail.verdict === 'discard' ? 'font-semibold text-beet' : 'text-slate'}`}
        >
          {detail.gone
            ? `Gone: ${detail.gone.how} on ${detail.gone.on}.`
            : [`${detail.left_words}.`, mayEatIt ? '' : VERDICT_WORDS[detail.verdict]].join(' ')}
        </p>
        {detail.label_words !== '' && (
          <p>
            Its label says <s>{detail.label_words}</s>: it needs a new one.
          </p>
        )}
        {mayEatIt && (
          <p>
            <b className="font-heading text-beet">{detail.not_for}</b> For everybody else:{' '}
            {VERDICT_WORDS[detail.verdict].toLowerCase()}
          </p>
        )}
      </div>
      {detail.kept_for && (
        <p className="rounded-part bg-tape px-3 py-2 text-tape-ink">
          {detail.kept_for.hands_off ? <b className="font-heading">Hands off: </b> : ''}
          {detail.kept_for.words || 'kept'}
        </p>
      )}
      {detail.gone && detail.may_come_back && <ComeBack detail={detail} />}
      {!detail.gone && (
        <IfMay type="package.take">
          <PackageActions detail={detail} />
        </IfMay>
      )}
      {!detail.gone && <PhotoForm detail={detail} />}
      {!detail.gone && (
        <IfMay type="package.answer">
          <PackageHeadsUp detail={detail} />
        </IfMay>
      )}
      <dl className="grid grid-cols-[5.5rem_1fr] gap-y-1">
        {facts.map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-slate">{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      {!detail.gone && (
        <details onToggle={(event) => setCurious(event.currentTarget.open)}>
          <summary className="flex min-h-11 cursor-pointer items-center font-heading text-lg font-semibold">
            What if
          </summary>
          {curious && <WhatIf key={detail.version} code={detail.code} />}
        </details>
      )}
      <section>
        <h2 className="text-lg">Why this date</h2>
        <TrailLines trail={detail.trail} />
        <p className="mt-3 text-[0.9375rem] text-slate">
          When in doubt, throw it out. Your local food-safety advice comes first.
        </p>
      </section>
    </div>
  );
}
