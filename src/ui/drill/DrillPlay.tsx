'use client';

import { useMemo, useState } from 'react';
import {
  type Drill,
  DRILL_CHOICES,
  type DrillChoice,
  type DrillEvidence,
  type DrillFinding,
  EVIDENCE_MINUTES,
} from '@/core/drill/drill';
import { findOut, spentOn } from '@/core/drill/findOut';
import { type DrillMark, markDrill } from '@/core/drill/markDrill';
import { publishedLimitHours } from '@/core/powercut/publishedLimit';
import { sayCelsius, sayHours } from '@/core/powercut/sayCut';
import { sayAmount } from '@/core/units/sayAmount';
import type { DrillsView } from '@/services/outage/drills';
import { useDoor } from '../door/useDoor';
import { TELLTALE_CHOICES } from '../outage/cutWords';
import { useSay } from '../units/useSay';
import { DrillResult } from './DrillResult';
import { CHOICE_WORDS, saySeen } from './drillWords';

const telltaleWords = new Map(TELLTALE_CHOICES);

/** An exercise while it is played: what can be found out on the left, what is to be judged on the right. */
export function DrillPlay({ drill, view, onLeave }: { drill: Drill; view: DrillsView; onLeave: () => void }) {
  const { act } = useDoor();
  const say = useSay();
  const [findings, setFindings] = useState<DrillFinding[]>([]);
  const [choices, setChoices] = useState<ReadonlyMap<string, DrillChoice>>(new Map());
  const [mark, setMark] = useState<DrillMark | null>(null);
  const foods = useMemo(() => new Map(view.foods), [view.foods]);
  const { minutes } = spentOn(findings);
  const find = (evidence: DrillEvidence): void =>
    setFindings([...findings, findOut(drill, findings, evidence)]);
  const found = (kind: DrillEvidence['kind'], of: string): DrillFinding | undefined =>
    findings.findLast(({ evidence }) => {
      const where = 'part' in evidence ? evidence.part : evidence.item;
      return evidence.kind === kind && where === of;
    });
  const finish = (): void => {
    const told = markDrill(drill, findings, choices, foods);
    setMark(told);
    const { safe, wasted } = told;
    void act({
      type: 'drill.play',
      drill: drill.id,
      safe,
      wasted: Math.round(wasted * 1000) / 1000,
      minutes,
    });
  };
  if (mark)
    return (
      <DrillResult
        drill={drill}
        mark={mark}
        currency={view.currency}
        onAgain={() => {
          setFindings([]);
          setChoices(new Map());
          setMark(null);
        }}
        onLeave={onLeave}
      />
    );
  const button = (words: string, evidence: DrillEvidence) => (
    <button type="button" className="button" onClick={() => find(evidence)}>
      {words} · {EVIDENCE_MINUTES[evidence.kind]} min
    </button>
  );
  const left = drill.items.filter(({ id }) => !choices.has(id)).length;
  return (
    <div className="space-y-4">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-[1.6rem]">{drill.title}</h1>
        <p role="status" className="text-slate">
          {minutes} min spent{drill.stillOff ? ', the power is still off' : ''}
        </p>
        <button type="button" className="button" onClick={onLeave}>
          Leave it
        </button>
      </div>
      <p className="max-w-[70ch] text-lg">{drill.story}</p>
      <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)]">
        <section aria-label="Find out" className="space-y-4">
          {drill.parts.map((part) => {
            const kind = part.kind === 'fridge' ? ('fridge' as const) : ('freezer' as const);
            const limit = publishedLimitHours({ kind, fill: part.fill, doors: 'shut' });
            const read = found('read', part.id);
            const log = found('log', part.id);
            const telltale = found('telltale', part.id);
            return (
              <div key={part.id} className="card space-y-2 p-4">
                <h2 className="text-lg">{part.called}</h2>
                <p className="text-[0.9375rem] text-slate">
                  {say(
                    `${Math.round(part.fill * 100)} % full, ${part.litres} l, in a room of ${part.roomC} °C; published limit ${sayHours(limit)} with the door shut`,
                  )}
                  {part.iceKg ? say(`; ${part.iceKg} kg of ice packs in it`) : ''}
                </p>
                <div className="flex flex-wrap gap-2">
                  {part.thermometer && button('Read it now', { kind: 'read', part: part.id })}
                  {part.thermometer && button('Read its log', { kind: 'log', part: part.id })}
                  {part.telltale && button('Look at the telltale', { kind: 'telltale', part: part.id })}
                </div>
                {!part.thermometer && (
                  <p className="text-[0.9375rem] text-slate">No thermometer lies in it.</p>
                )}
                <ul className="list-disc space-y-1 pl-5">
                  {read?.readings?.map(({ c }, at) => (
                    <li key={at}>{say(`It reads ${sayCelsius(c)} now.`)}</li>
                  ))}
                  {log && (
                    <li>
                      {log.readings?.length === 0
                        ? 'The log begins after it froze again: it tells nothing.'
                        : say(
                            `Log: ${(log.readings ?? []).map(({ atH, c }) => `${sayHours(atH)}: ${sayCelsius(c)}`).join(' · ')}`,
                          )}
                    </li>
                  )}
                  {telltale?.telltale && <li>The telltale: {telltaleWords.get(telltale.telltale)}.</li>}
                </ul>
              </div>
            );
          })}
        </section>
        <section aria-label="Judge" className="space-y-3">
          {drill.items.map((item) => {
            const seen = found('measure', item.id) ?? found('look', item.id);
            const chosen = choices.get(item.id);
            return (
              <fieldset key={item.id} className="card space-y-2 p-4">
                <legend className="sr-only">{item.called}</legend>
                <p className="flex flex-wrap items-baseline gap-2">
                  <b className="font-heading text-lg">{item.called}</b>
                  {say(sayAmount(item.grams, 'g'))}
                  <span className="text-slate">{drill.parts.find(({ id }) => id === item.part)?.called}</span>
                </p>
                {seen?.seen && <p className="text-[0.9375rem]">{say(saySeen(seen.seen))}</p>}
                <div className="flex flex-wrap gap-2">
                  {!found('look', item.id) && button('Look', { kind: 'look', item: item.id })}
                  {!found('measure', item.id) &&
                    button('Measure its middle', { kind: 'measure', item: item.id })}
                </div>
                <div role="group" aria-label={`What of ${item.called}?`} className="flex flex-wrap gap-1.5">
                  {DRILL_CHOICES.map((choice) => (
                    <button
                      key={choice}
                      type="button"
                      className="button px-3"
                      aria-pressed={chosen === choice}
                      data-main={chosen === choice}
                      onClick={() => setChoices(new Map([...choices, [item.id, choice]]))}
                    >
                      {CHOICE_WORDS[choice]}
                    </button>
                  ))}
                </div>
              </fieldset>
            );
          })}
          <button
            type="button"
            className="button min-h-14 text-lg"
            data-main="true"
            disabled={left > 0}
            onClick={finish}
          >
            {left > 0 ? `${left} still to judge` : 'Mark it'}
          </button>
        </section>
      </div>
    </div>
  );
}
