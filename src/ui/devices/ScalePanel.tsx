'use client';

import { useEffect, useState } from 'react';
import { sayScale, type ScaleReading } from '@/devices/scale';
import { sayAmount } from '@/core/units/sayAmount';
import { useSay } from '../units/useSay';
import { scale } from './standIns';

const READ_MS = 200;

/** The scale at the bench: what it shows, and the pack its weight is for. */
export function ScalePanel({
  pack,
  of,
  plan,
  onWeigh,
  onClose,
}: {
  /** From 1. */
  pack: number;
  of: number;
  /** Grams the pack is planned with. */
  plan: number;
  /** Answers why the weight cannot be; empty when it was taken. */
  onWeigh: (grams: number) => string;
  onClose: () => void;
}) {
  const [reading, setReading] = useState<ScaleReading>(() => scale.read());
  const say = useSay();
  const [fault, setFault] = useState('');
  const [load, setLoad] = useState(0);
  const [creep, setCreep] = useState(0);
  useEffect(() => {
    const timer = setInterval(() => setReading(scale.read()), READ_MS);
    return () => clearInterval(timer);
  }, []);
  const words =
    reading.state === 'gone'
      ? 'The scale does not answer. What was weighed stays; plug it in again, or type the weight.'
      : reading.state === 'over'
        ? 'More than it can carry. Take some off and weigh in two goes.'
        : !reading.stable
          ? 'settling …'
          : Math.abs(creep) > 0
            ? 'It creeps: press tare with nothing on it before the next pack.'
            : say(`planned ${sayAmount(plan, 'g')}`);
  const usable = reading.state === 'ok' && reading.stable && reading.grams > 0;
  return (
    <section aria-label="Scale" className="rounded-card border-2 border-deep bg-rime p-3">
      <div className="flex flex-wrap items-center gap-3">
        <output
          aria-live="off"
          className={`min-w-40 rounded-part bg-strip px-4 py-2 text-center font-heading text-2xl font-semibold text-[#fbfdfc] ${reading.stable ? '' : 'opacity-70'}`}
        >
          {sayScale(reading)}
        </output>
        <button type="button" className="button" onClick={() => scale.tare()}>
          Tare
        </button>
        <button type="button" className="button" onClick={() => scale.nextUnit()}>
          Unit
        </button>
        <button
          type="button"
          className="button"
          data-main="true"
          disabled={!usable}
          onClick={() => setFault(onWeigh(reading.grams))}
        >
          It is pack {pack} of {of}
        </button>
        <button type="button" className="button" onClick={onClose}>
          Done weighing
        </button>
      </div>
      <p
        role="status"
        className={`mt-2 ${reading.state === 'ok' ? 'text-slate' : 'font-semibold text-beet'}`}
      >
        {words}
      </p>
      {fault !== '' && (
        <p role="alert" className="text-beet">
          {fault}
        </p>
      )}
      <details>
        <summary className="min-h-11 cursor-pointer py-2 text-[0.9375rem] text-slate">
          Play the stand-in
        </summary>
        <div className="flex flex-wrap items-end gap-3">
          <label>
            <span className="block text-[0.9375rem] text-slate">lies on it, g</span>
            <input
              className="field w-28"
              inputMode="numeric"
              value={load}
              onChange={(event) => {
                const grams = Number(event.target.value.replace(/\D/g, ''));
                setLoad(grams);
                scale.put(grams);
              }}
            />
          </label>
          <button
            type="button"
            className="button"
            onClick={() => {
              const next = creep === 0 ? 60 : 0;
              setCreep(next);
              scale.drift(next);
            }}
          >
            {creep === 0 ? 'Let it drift' : 'Stop the drift'}
          </button>
          <button
            type="button"
            className="button"
            onClick={() => (reading.state === 'gone' ? scale.plug() : scale.unplug())}
          >
            {reading.state === 'gone' ? 'Plug it in' : 'Unplug it'}
          </button>
        </div>
      </details>
    </section>
  );
}
