'use client';

import type { Drill } from '@/core/drill/drill';
import type { DrillLine, DrillMark } from '@/core/drill/markDrill';
import { sayAmount } from '@/core/units/sayAmount';
import { sayMoney } from '../outage/sayWorth';
import { RuleName } from '../rules/RuleName';
import { useSay } from '../units/useSay';
import { CHOICE_WORDS } from './drillWords';

const EDGES: Readonly<Record<DrillLine['mark'], string>> = {
  unsafe: 'border-beet',
  wasted: 'border-honey',
  right: 'border-ice',
};
const MARK_WORDS: Readonly<Record<DrillLine['mark'], string>> = {
  unsafe: 'Not safe',
  wasted: 'Wasted',
  right: 'Right',
};

/** The mark of an exercise: safe or not, what was wasted, and of each item why. */
export function DrillResult({
  drill,
  mark,
  currency,
  onAgain,
  onLeave,
}: {
  drill: Drill;
  mark: DrillMark;
  currency: string;
  onAgain: () => void;
  onLeave: () => void;
}) {
  const say = useSay();
  const unsafe = mark.lines.filter((line) => line.mark === 'unsafe').length;
  const worth = sayMoney(mark.wastedMinor, currency);
  return (
    <div className="space-y-4">
      <h1 className="text-[1.6rem]">{drill.title}: the mark</h1>
      <section
        aria-label="The mark"
        role="status"
        className={`card border-l-8 p-5 ${mark.safe ? 'border-ice' : 'border-beet'}`}
      >
        <p className="font-heading text-3xl font-bold">
          {mark.safe
            ? 'Passed: nothing unsafe was kept'
            : `Failed: ${unsafe} would have been eaten that must go`}
        </p>
        <p className="mt-1 text-lg">
          {mark.wastedGrams === 0
            ? 'Nothing was wasted.'
            : say(
                `Wasted for nothing: ${sayAmount(mark.wastedGrams, 'g')}${worth === '' ? '' : `, ${worth}`}, ${Math.round(mark.wasted * 100)} % of what might have been eaten.`,
              )}{' '}
          {mark.minutes} min spent.
        </p>
      </section>
      <ul className="space-y-3">
        {mark.lines.map((line) => (
          <li key={line.item} className={`card border-l-8 p-4 ${EDGES[line.mark]}`}>
            <p>
              <b className="font-heading text-lg">{line.called}</b>: {CHOICE_WORDS[line.chose].toLowerCase()}.{' '}
              <b className="font-semibold">{MARK_WORDS[line.mark]}.</b>
            </p>
            <p className="text-[0.9375rem]">
              {say(line.says)}{' '}
              <span className="text-slate">
                Rule <RuleName rule={line.truth.rule} /> · after {line.truth.source}
              </span>
            </p>
          </li>
        ))}
      </ul>
      <p className="text-slate">
        When in doubt, throw it out. Babies, pregnant, old or ill people need more caution; local food-safety
        advice comes first.
      </p>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button" data-main="true" onClick={onLeave}>
          All exercises
        </button>
        <button type="button" className="button" onClick={onAgain}>
          Once more
        </button>
      </div>
    </div>
  );
}
