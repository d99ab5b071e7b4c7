'use client';

import type { NamedFood } from '@/core/foods/findFood';
import type { Verb, VerbReading } from '@/core/quickline/readVerb';
import type { PackageView } from '@/services/stock/packageView';
import { DateButton } from '../package/DateButton';
import { Tape } from '../tape/Tape';
import { Said } from '../units/Said';
import type { VerbPlan } from './verbCommands';

const DO: Record<Verb, string> = {
  take: 'Take',
  open: 'Open',
  move: 'Move',
  freeze: 'Freeze',
  thaw: 'Thaw',
  bin: 'Bin it',
  where: 'Show it',
  undo: 'Undo the last thing',
};
const MOST_SHOWN = 12;

/** What a verb at the line would do, and to which packages. */
export function VerbPanel({
  reading,
  plan,
  notFound,
  busy,
  onPick,
  onDo,
  onOne,
}: {
  reading: VerbReading<NamedFood>;
  /** `null`: the packages are not here yet. */
  plan: VerbPlan | null;
  /** Why they could not be read. */
  notFound: string;
  busy: boolean;
  onPick: (text: string) => void;
  onDo: () => void;
  /** Another one than the first is meant. */
  onOne: (view: PackageView) => void;
}) {
  const fault = reading.fault || (plan ? plan.fault : notFound);
  return (
    <div className="space-y-3" aria-live="polite">
      {fault !== '' && <p className="text-beet">{fault}</p>}
      {reading.candidates.length > 0 && (
        <div className="flex flex-wrap gap-2">
          {reading.candidates.slice(0, 6).map((candidate, at) => (
            <button key={candidate} type="button" className="button" onClick={() => onPick(candidate)}>
              {candidate} <kbd className="key">{at === 0 ? 'Enter' : `Alt ${at + 1}`}</kbd>
            </button>
          ))}
        </div>
      )}
      {fault === '' && !plan && <p className="text-slate">Looking where it is …</p>}
      {plan && (
        <ul className="space-y-1.5">
          {plan.packages.slice(0, MOST_SHOWN).map((view, at) => (
            <li key={view.id} className="flex flex-wrap items-center gap-x-3">
              <Tape food={view.food.name} detail={view.amount_words} band={view.band} state={view.state} />
              <span className="text-slate">
                {view.code} · {view.zone ? `${view.zone.name}, ${view.zone.appliance}` : 'counter'}
              </span>
              <DateButton view={view} />
              {plan.which && at > 0 && (
                <button type="button" className="button" disabled={busy} onClick={() => onOne(view)}>
                  {DO[reading.verb]} this one
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      {plan?.asksOn && <p>Where to is asked on the package: Enter opens it.</p>}
      {fault === '' && (reading.verb === 'undo' || plan) && (
        <button type="button" className="button" data-main="true" disabled={busy} onClick={onDo}>
          {DO[reading.verb]} {plan?.part !== undefined && <Said>{plan.part}</Said>}{' '}
          <kbd className="font-text text-[0.9375rem] font-normal">Enter</kbd>
        </button>
      )}
    </div>
  );
}
