'use client';

import type { MealsView } from '@/services/meals/week';
import type { ThawStep } from '@/services/meals/thawSteps';
import { kitchenNow } from '../door/kitchenClock';
import { useDoor } from '../door/useDoor';
import { useState } from 'react';
import { useSay } from '../units/useSay';
import { BathClock } from './BathClock';
import { setBath, useBaths } from './coldBaths';

const WAY_WORDS: Readonly<Record<ThawStep['ways'][number]['way'], string>> = {
  fridge: 'In the fridge',
  'cold-water': 'In cold water',
  metal: 'On a metal tray',
  'from-frozen': 'From frozen',
};

const sayWhen = (at: string, now: string): string => {
  const time = new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });
  const day = new Date(at).toDateString() === new Date(now).toDateString();
  return day ? time : `${new Date(at).toLocaleDateString('en-GB', { weekday: 'short' })} ${time}`;
};

const MOST_SHOWN = 6;

/** Packages alike for the same meal, told and moved as one. */
function together(steps: readonly ThawStep[]): { step: ThawStep; all: ThawStep[] }[] {
  const groups = new Map<string, { step: ThawStep; all: ThawStep[] }>();
  for (const step of steps) {
    const key = [step.meal, step.on, step.called, step.amount_words, step.best?.way, step.zone?.id].join('|');
    const known = groups.get(key);
    if (known) known.all.push(step);
    else groups.set(key, { step, all: [step] });
  }
  return [...groups.values()];
}

/** What must move down when, by the heat model's cautious hours; started in one tap, and what still works when it is too late. */
export function ThawPlan({ view }: { view: MealsView }) {
  const { act, busy, showPackage } = useDoor();
  const say = useSay();
  const [more, setMore] = useState(false);
  const baths = useBaths();
  const inWater = new Set(baths.map((bath) => bath.package));
  const groups = together(view.thaw.filter((step) => step.thawing === null && !inWater.has(step.package)));
  const bathing = view.thaw.flatMap((step) => {
    const bath = baths.find((one) => one.package === step.package);
    return bath ? [{ step, bath }] : [];
  });
  const thawing = view.thaw.filter((step) => step.thawing !== null);
  const shown = more ? groups : groups.slice(0, MOST_SHOWN);
  return (
    <section aria-labelledby="thaw-plan" className="card space-y-3 p-4">
      <h2 id="thaw-plan" className="text-xl">
        What must thaw
      </h2>
      {bathing.length > 0 && (
        <ul aria-label="In cold water" className="space-y-2">
          {bathing.map(({ step, bath }) => (
            <li key={step.package}>
              <b className="font-heading font-semibold">
                {step.called} {say(step.amount_words)}
              </b>{' '}
              <span className="text-slate">{step.code}</span> in a tight bag in cold water
              <BathClock step={step} bath={bath} now={view.now} />
            </li>
          ))}
        </ul>
      )}
      {thawing.length > 0 && (
        <ul aria-label="Thawing now" className="divide-y divide-line">
          {thawing.map((step) => (
            <Thawing key={step.package} step={step} />
          ))}
        </ul>
      )}
      {view.thaw.length === 0 ? (
        <p className="text-slate">
          Nothing that is planned lies frozen. What you plan from the freezer stands here, with when to move
          it down.
        </p>
      ) : (
        <ul className="divide-y divide-line">
          {shown.map(({ step, all }) => {
            const { best, zone } = step;
            const moveDown = (): void =>
              void act(
                ...all.map((one) => ({
                  ...{ type: 'package.thaw', package: one.package, version: one.version, method: 'fridge' },
                  zone: zone?.id ?? null,
                })),
              );
            const intoWater = (): void => {
              const at = kitchenNow(view.now, 0);
              for (const one of all) setBath(one.package, { begun: at, changed: at });
            };
            const tooLate = step.ways.find(({ way }) => way === 'fridge')?.late === true;
            return (
              <li key={step.package} className="space-y-1 py-3">
                <div className="flex flex-wrap items-center gap-2">
                  <button
                    type="button"
                    className="mr-auto min-h-11 text-left font-heading font-semibold hover:underline"
                    onClick={() => showPackage(step.code)}
                  >
                    {step.called} {all.length > 1 ? `${all.length} × ` : ''}
                    {say(step.amount_words)}{' '}
                    <span className="font-text font-normal text-slate">
                      {all.map(({ code }) => code).join(', ')}
                    </span>
                  </button>
                  {zone && !tooLate && (
                    <button
                      type="button"
                      className="button"
                      data-main={best?.way === 'fridge'}
                      disabled={busy}
                      onClick={moveDown}
                    >
                      Moved down to {zone.name}
                    </button>
                  )}
                  {best?.way === 'cold-water' && <IntoWater main onPress={intoWater} />}
                </div>
                <p>
                  For {step.meal_name || 'the day it is planned for'}, {sayWhen(step.meal_at, view.now)}.{' '}
                  {best === null ? (
                    <b className="text-beet">
                      It cannot be thawed in time any more: plan something else, or another day.
                    </b>
                  ) : best.way === 'fridge' ? (
                    <b>
                      Move it down by {sayWhen(best.startBy, view.now)}
                      {zone ? '' : ', once there is room'}.
                    </b>
                  ) : (
                    <b>
                      {tooLate ? 'Too late for the fridge' : 'No room in the fridge'};{' '}
                      {WAY_WORDS[best.way].toLowerCase()} still works
                      {best.way === 'from-frozen' ? '' : ` until ${sayWhen(best.startBy, view.now)}`}.
                    </b>
                  )}
                </p>
                <details>
                  <summary className="min-h-11 cursor-pointer py-2 text-[0.9375rem] text-slate">
                    The ways
                  </summary>
                  <ul className="list-disc space-y-1 pl-5 text-[0.9375rem]">
                    {step.ways.map((way) => (
                      <li key={way.way} className={way.late ? 'text-slate line-through' : ''}>
                        {say(way.says)} Begin by {sayWhen(way.startBy, view.now)}.{' '}
                        {way.way === 'cold-water' && !way.late && best?.way !== 'cold-water' && (
                          <IntoWater onPress={intoWater} />
                        )}
                      </li>
                    ))}
                    <li>Never on the counter: its outside would stand warm for hours (K10).</li>
                  </ul>
                </details>
              </li>
            );
          })}
        </ul>
      )}
      {groups.length > shown.length && (
        <button type="button" className="button" onClick={() => setMore(true)}>
          {groups.length - shown.length} more later
        </button>
      )}
      <p className="text-[0.9375rem] text-slate">
        Hours are the heat model’s cautious side and public landmarks, whichever is longer; ready an hour
        before the meal.
      </p>
    </section>
  );
}

function IntoWater({ main = false, onPress }: { main?: boolean; onPress: () => void }) {
  return (
    <button type="button" className="button" data-main={main} onClick={onPress}>
      Into cold water
    </button>
  );
}

/** What thaws already: soft, or still hard and what then. */
function Thawing({ step }: { step: ThawStep }) {
  const { act, busy } = useDoor();
  const say = useSay();
  const [hard, setHard] = useState(false);
  const idle = step.thawing?.idle ?? '';
  const water = step.thawing?.water_h ?? null;
  return (
    <li className="space-y-1 py-3">
      <div className="flex flex-wrap items-center gap-2">
        <p className="mr-auto">
          <b className="font-heading font-semibold">
            {step.called} {say(step.amount_words)}
          </b>{' '}
          <span className="text-slate">{step.code}</span> thaws for {step.meal_name || 'its day'}; use it by{' '}
          {step.thawing?.words}
        </p>
        <button
          type="button"
          className="button"
          disabled={busy}
          aria-label={`${step.called} ${step.code} is soft`}
          onClick={() =>
            void act({
              ...{ type: 'package.thaw', package: step.package, version: step.version },
              ...{ method: 'fridge', zone: null },
            })
          }
        >
          It is soft
        </button>
        <button
          type="button"
          className="button"
          aria-expanded={hard}
          aria-label={`${step.called} ${step.code} is still hard in the middle`}
          onClick={() => setHard(!hard)}
        >
          Still hard
        </button>
      </div>
      {step.thawing?.late && (
        <p className="border-l-4 border-beet pl-2 text-beet">
          By that meal it is past its date. Eat it sooner, or put something else in.
        </p>
      )}
      {idle !== '' && !step.thawing?.late && (
        <p className="border-l-4 border-honey pl-2">
          It is soft {idle} already, when nobody cooks. Eat it then, or move the meal up.
        </p>
      )}
      {hard && (
        <p>
          {water === null
            ? 'Leave it in the fridge; it is not done in cold water in any safe time.'
            : `Leave it, or finish it in a tight bag in cold water, changed every half hour: ${water < 1 ? `${Math.ceil(water * 60)} min` : `${Math.ceil(water)} h`} at most. Then cook it at once.`}
        </p>
      )}
    </li>
  );
}
