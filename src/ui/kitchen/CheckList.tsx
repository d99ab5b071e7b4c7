'use client';

import { RuleName } from '../rules/RuleName';
import type { FindingView } from '@/services/kitchen/kitchenCheck';
import { useDoor } from '../door/useDoor';

/** What is wrong in the kitchen, the gravest first, each with why and one button. */
export function CheckList({ findings }: { findings: FindingView[] }) {
  return (
    <ul className="grid gap-3 lg:grid-cols-2">
      {findings.map((finding) => (
        <Finding key={`${finding.rule} ${finding.zone.id} ${finding.says}`} finding={finding} />
      ))}
    </ul>
  );
}

function Finding({ finding: { rule, title, zone, says, why, fix } }: { finding: FindingView }) {
  const { act, busy, showZone } = useDoor();
  const grave = rule === 'C1' || rule === 'C2';
  const button = (): { words: string; press: () => void } => {
    switch (fix.kind) {
      case 'move':
        return {
          words: `Move to ${fix.to_name}`,
          press: () =>
            void act(
              ...fix.packages.map(({ id, version }) => ({
                type: 'package.move',
                package: id,
                version,
                zone: fix.to,
              })),
            ),
        };
      case 'eat-first':
        return {
          words: `Eat ${fix.packages[0]?.code ?? 'it'} first`,
          press: () =>
            void act(
              ...fix.packages.map(({ id, version }) => ({
                type: 'package.answer',
                package: id,
                version,
                answer: 'eat-tonight',
              })),
            ),
        };
      case 'look':
        return { words: `Look into ${zone.name}`, press: () => showZone(zone.id, zone.name) };
    }
  };
  const { words, press } = button();
  return (
    <li className={`card flex flex-col gap-1 border-l-8 p-4 ${grave ? 'border-l-beet' : 'border-l-honey'}`}>
      <h2 className="text-[1.05rem]">
        {title}
        <span className="font-text font-normal text-slate">
          {' '}
          · {zone.name}, {zone.appliance}
        </span>
      </h2>
      <p>{says}</p>
      <p className="text-slate">{why}</p>
      <p className="mt-auto flex items-center justify-between gap-3 pt-1">
        <span className="text-[0.9375rem] text-slate">
          rule <RuleName rule={rule} />
        </span>
        <button type="button" className="button" data-main={grave} disabled={busy} onClick={press}>
          {words}
        </button>
      </p>
    </li>
  );
}
