'use client';

import { Said } from '../units/Said';
import { useState } from 'react';
import { v4 as newUuid } from 'uuid';
import type { HaulView } from '@/services/haul/haul';
import { useDoor } from '../door/useDoor';
import { expectIntake, offerIntake } from './haulIntake';
import { Tick } from '../forms/Tick';
import { ReceiptButton } from './ReceiptPhotos';

const KINDS = [
  ['shop', 'Shop'],
  ['harvest', 'Harvest'],
  ['batch', 'Cooking batch'],
] as const;
const OUT_MINUTES = [
  [0, 'just now'],
  [15, '15 min ago'],
  [30, '30 min ago'],
  [45, '45 min ago'],
  [60, 'an hour ago'],
] as const;

/** No haul is open: what it is and when it left the cold, then one button. */
export function StartHaul({ view, onBegun }: { view: HaulView; onBegun: (id: string) => void }) {
  const { act, busy } = useDoor();
  const [kind, setKind] = useState<(typeof KINDS)[number][1]>('Shop');
  const [minutes, setMinutes] = useState(0);
  const [coldBag, setColdBag] = useState(false);
  const [hot, setHot] = useState(false);
  const begin = async (): Promise<void> => {
    const id = newUuid();
    const now = new Date();
    const name = `${kind}, ${now.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}`;
    const leftAt = new Date(Date.parse(view.now) - minutes * 60_000).toISOString();
    expectIntake();
    const answer = await act({
      type: 'haul.begin',
      haul: { id, name, leftAt, coldBag, hot, fastFreeze: false, hygiene: [] },
    });
    if (answer) onBegun(id);
    else offerIntake(null);
  };
  return (
    <div className="mx-auto max-w-3xl space-y-4">
      <div className="card space-y-5 p-6">
        <div>
          <h2 className="text-2xl">Everything on the counter, then one line each</h2>
          <p className="mt-1 text-slate">
            The bench splits, packs, labels, dates and places it, and watches the minutes out of the cold
            meanwhile.
          </p>
        </div>
        <div role="group" aria-label="What it is" className="flex flex-wrap gap-2">
          {KINDS.map(([id, name]) => (
            <button
              key={id}
              type="button"
              className="button"
              aria-pressed={kind === name}
              data-main={kind === name}
              onClick={() => setKind(name)}
            >
              {name}
            </button>
          ))}
        </div>
        <div className="flex flex-wrap items-end gap-x-6 gap-y-3">
          <label>
            <span className="block text-slate">It left the cold</span>
            <select
              className="field w-auto"
              value={minutes}

              onChange={(event) => setMinutes(Number(event.target.value))}
            >
              {OUT_MINUTES.map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          <Tick checked={coldBag} onChange={setColdBag}>
            in a closed cold bag with ice until now
          </Tick>
          <Tick checked={hot} onChange={setHot}>
            <Said>hot day, above 32 °C: half the time</Said>
          </Tick>
        </div>
        <button
          type="button"
          className="button text-lg"
          data-main="true"
          disabled={busy}
          onClick={() => void begin()}
        >
          Begin the haul
        </button>
      </div>
      {view.before && (
        <div className="space-y-2 px-2 text-slate">
          <p>
            Before this: {view.before.name},{' '}
            {view.before.lines
              .map(({ called }) => called)
              .slice(0, 8)
              .join(', ')}
            {view.before.lines.length > 8 ? ' …' : ''}. Its lines can be taken again once you have begun.
          </p>
          <ReceiptButton receipts={view.before.receipts} name={view.before.name} />
        </div>
      )}
    </div>
  );
}
