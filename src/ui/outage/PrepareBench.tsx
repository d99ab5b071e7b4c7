'use client';

import { Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { USUAL_ROOM_C } from '@/core/model/cut';
import { isControlled } from '@/core/model/outageClass';
import type { CutRequest } from '@/core/powercut/cutForecast';
import { prepareFor, type PreparedThing } from '@/core/powercut/prepareFor';
import { publishedLimitHours } from '@/core/powercut/publishedLimit';
import type { DeskThing, DeskView } from '@/services/outage/cutDesk';
import type { DeskPart } from '@/services/outage/deskParts';
import { useDoor } from '../door/useDoor';
import { Tick } from '../forms/Tick';
import { useNow } from '../haul/useNow';
import { useSay } from '../units/useSay';
import { Countdown } from './Countdown';
import { sayLeft } from './cutWords';
import { useForecasts } from './useForecasts';

const HOUR_MS = 3_600_000;
const SAMPLES = 400;
const PIECE_G = 100;
const MOST_EAT = 8;
/** How long before a storm one hears of it. */
const USUAL_DAYS = 2;

/** How a part would warm as it is, and with its gaps filled with bottles. */
const requestOf = ({ forecast: kind, litres, fill }: DeskPart, waterKg: number): CutRequest => ({
  ...{ kind, litres: Math.max(5, litres), fill, iceKg: kind === 'fridge' ? waterKg : 0 },
  ...{
    waterKg: kind === 'fridge' ? 0 : waterKg,
    startC: null,
    ambientC: USUAL_ROOM_C,
    openings: [],
    readings: [],
  },
  ...{ hours: kind === 'fridge' ? 12 : 72, samples: SAMPLES, seed: 7 },
});

function toPrepared(view: DeskView): PreparedThing[] {
  const classes = new Map(view.classes.map((one) => [one.id, one]));
  const parts = new Map(view.zones.map(({ id, part }) => [id, part]));
  return view.things.map((thing) => {
    const its = classes.get(thing.class);
    return {
      ...{ id: thing.id, state: thing.state, governing: thing.governing, freezes: thing.freezes },
      part: thing.zoneId === null ? null : (parts.get(thing.zoneId) ?? null),
      controlled: its !== undefined && isControlled(its),
      grams: thing.unit === 'pc' ? thing.amount * PIECE_G : thing.amount,
      past: thing.condemned || thing.governing < view.today,
    };
  });
}

/** Before a storm: a checklist from what is here and how the kitchen is drawn, with a countdown and the paper card. */
export function PrepareBench({ view }: { view: DeskView }) {
  const { act, busy, showPackage } = useDoor();
  const say = useSay();
  const now = useNow(view.now);
  const expected = view.plan?.expected ?? null;
  const days =
    expected === null
      ? USUAL_DAYS
      : Math.max(1, Math.floor((Date.parse(expected) - Date.parse(view.now)) / (24 * HOUR_MS)));
  const todo = useMemo(() => prepareFor(view.parts, toPrepared(view), days), [view, days]);
  const parts = new Map(view.parts.map((part) => [part.id, part]));
  const things = new Map(view.things.map((thing) => [thing.id, thing]));
  const named = (ids: readonly string[]): DeskThing[] => ids.flatMap((id) => things.get(id) ?? []);
  const waterParts = todo.water.flatMap(({ part, litres, free }) => {
    const found = parts.get(part);
    return found ? [{ part: found, litres, free }] : [];
  });
  const requests = useMemo(
    () =>
      todo.water.flatMap(({ part, litres }) => {
        const found = view.parts.find(({ id }) => id === part);
        return found ? [requestOf(found, 0), requestOf(found, litres)] : [];
      }),
    [todo, view.parts],
  );
  const answers = useForecasts(requests);
  // A tick shows at once; what others ticked comes with the next look.
  const [pressed, setPressed] = useState<Readonly<Record<string, boolean>>>({});
  const kept = new Set(view.plan?.ticked ?? []);
  const ticked = new Set(
    [...new Set([...kept, ...Object.keys(pressed)])].filter((key) => pressed[key] ?? kept.has(key)),
  );
  const tell = (change: { expected?: string | null; ticked?: string[] }): void =>
    void act({ type: 'cut.prepare', expected, ticked: [...ticked], ...change });
  const tick = (key: string, on: boolean): void => {
    setPressed({ ...pressed, [key]: on });
    const next = new Set(ticked);
    if (on) next.add(key);
    else next.delete(key);
    tell({ ticked: [...next] });
  };
  const line = (key: string, words: React.ReactNode) => (
    <li key={key}>
      <Tick checked={ticked.has(key)} onChange={(on) => tick(key, on)}>
        <span className={ticked.has(key) ? 'text-slate' : ''}>{words}</span>
      </Tick>
    </li>
  );
  const strips = (list: readonly DeskThing[]) =>
    list.map((thing) => (
      <button
        key={thing.id}
        type="button"
        className="button border-line"
        onClick={() => showPackage(thing.code)}
      >
        {thing.called} {say(thing.amount_words)}
      </button>
    ));
  const gain = (at: number): string => {
    const [base, filled] = [answers[at * 2], answers[at * 2 + 1]];
    if (!base || !filled) return 'reckoning …';
    const [before, after] = [base.to4c.p50, filled.to4c.p50];
    if (!Number.isFinite(before)) return 'it holds for days as it is';
    const told = Number.isFinite(after)
      ? `+${sayLeft(Math.max(0, after - before))}`
      : `beyond ${filled.band.length - 1} h`;
    return `about ${sayLeft(before)} as it is, with the bottles ${told}`;
  };
  const freezers = view.parts.filter(({ kind }) => kind === 'freezer');
  return (
    <div className="space-y-4">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-[1.6rem]">Before a power cut</h1>
        <a className="button" data-main="true" href="/api/v1/outage/card" target="_blank" rel="noreferrer">
          <Printer aria-hidden size={18} /> Print the paper card
        </a>
      </div>
      <Countdown expected={expected} now={now} busy={busy} onTell={(at) => tell({ expected: at })} />
      <div className="grid items-start gap-5 lg:grid-cols-2">
        <section aria-label="Cold that lasts" className="card p-5">
          <h2 className="text-xl">Cold that lasts</h2>
          <ul className="divide-y divide-line">
            {waterParts.map(({ part, litres, free }, at) =>
              line(
                `water ${part.id}`,
                <>
                  <b className="font-semibold">
                    {say(
                      part.kind === 'fridge'
                        ? `${litres} l of frozen bottles or ice packs into `
                        : `${litres} l of water in bottles into the gaps of `,
                    )}
                  </b>
                  {part.called}: {gain(at)}
                  <span className="block text-[0.9375rem] text-slate">
                    {part.kind === 'fridge'
                      ? 'Freeze them days before; keep a hand’s width for air.'
                      : say(
                          `Fill them to nine tenths, water grows. So much freezes in ${days === 1 ? 'a day' : `${days} days`} beside the food; ${free} l are free. Published limit: ${sayLeft(publishedLimitHours({ kind: 'freezer', fill: part.fill, doors: 'shut' }))} now, ${sayLeft(publishedLimitHours({ kind: 'freezer', fill: Math.min(0.95, part.fill + litres / part.litres), doors: 'shut' }))} with them.`,
                        )}
                  </span>
                </>,
              ),
            )}
            {freezers.map((part) =>
              line(
                `telltale ${part.id}`,
                <>
                  <b className="font-semibold">A telltale in {part.called}</b>: a bag of ice cubes, or a
                  frozen cup of water with a coin on top
                </>,
              ),
            )}
            {view.parts.map((part) =>
              line(
                `thermometer ${part.id}`,
                <>
                  <b className="font-semibold">A thermometer in {part.called}</b>, in the middle of a shelf,
                  not the door
                </>,
              ),
            )}
            {todo.coolBox.litres > 0 &&
              line(
                'cool-box',
                <>
                  <b className="font-semibold">
                    {say(
                      `${todo.coolBox.litres} l of cool box and ${todo.coolBox.iceKg} kg of ice for each day`,
                    )}
                  </b>{' '}
                  for what cannot be frozen
                  <span className="block text-[0.9375rem] text-slate">
                    Our own figure: three litres of box and half a kilogram of ice for a kilogram of food.
                  </span>
                </>,
              )}
            {line('card', 'The paper card printed, with a pencil, on the door; a torch beside it')}
          </ul>
        </section>
        <section aria-label="Food" className="card space-y-4 p-5">
          <div>
            <h2 className="text-xl">Freeze now, in this order</h2>
            {todo.freeze.length === 0 ? (
              <p className="text-slate">Nothing in the fridge wants freezing, or there is no room.</p>
            ) : (
              <div className="mt-2 flex flex-wrap gap-2">{strips(named(todo.freeze))}</div>
            )}
            {todo.waits.length > 0 && (
              <p className="mt-2 text-[0.9375rem] text-slate">
                More would warm the freezer today, or has no room:{' '}
                {[...new Set(named(todo.waits).map(({ called }) => called))].join(', ')}.
              </p>
            )}
          </div>
          <div>
            <h2 className="text-xl">Eat first</h2>
            {todo.eat.length === 0 ? (
              <p className="text-slate">Nothing that would not keep.</p>
            ) : (
              <div className="mt-2 flex flex-wrap gap-2">{strips(named(todo.eat).slice(0, MOST_EAT))}</div>
            )}
          </div>
        </section>
      </div>
    </div>
  );
}
