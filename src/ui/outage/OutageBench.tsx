'use client';

import { useMemo, useState } from 'react';
import type { StockVerdict } from '@/services/outage/outage';
import type { ApplianceView } from '@/services/kitchen/drawing';
import { useAsk } from '../door/useRead';
import { useSettled } from '../door/useSettled';
import { ApplianceForm } from './ApplianceForm';
import { useUnits } from '../units/useWording';
import { beginForm, type CutForm, formFault, type SeenForm, toRequest } from './cutForm';
import { VerdictGroups } from './VerdictGroups';

/** Typing rests this long before it is judged. */
const SETTLED_MS = 200;
const HOURS_AGO = [2, 4, 8, 24];

function localInput(ms: number): string {
  const at = new Date(ms);
  return new Date(ms - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

/** After a power cut: what happened on the left, the verdict for everything in the store on the right. */
export function OutageBench({ appliances }: { appliances: ApplianceView[] }) {
  const units = useUnits();
  const [from, setFrom] = useState('');
  const [until, setUntil] = useState('');
  const [forms, setForms] = useState<CutForm[]>(() =>
    appliances.flatMap(({ compartments }) => compartments).map(beginForm),
  );
  const [seen, setSeen] = useState<Record<string, SeenForm>>({});
  const fault = useMemo(() => formFault(from, until, forms, units), [from, until, forms, units]);

  const settled = useSettled(
    from === '' || fault !== '' ? null : toRequest(from, until, forms, seen, units),
    SETTLED_MS,
  );
  const { body: judged, fault: refused } = useAsk<{ verdicts: StockVerdict[] }>(
    '/api/v1/judge/stock',
    settled,
    { keep: true },
  );

  const trouble = fault || refused;
  const verdicts = from === '' || fault !== '' ? null : (judged?.verdicts ?? null);
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <section aria-label="What happened" className="space-y-4">
        <div className="card p-4">
          <div className="grid gap-3 sm:grid-cols-2">
            <label>
              <span className="block text-slate">Power went off</span>
              <input
                className="field"
                type="datetime-local"
                value={from}
                onChange={(event) => setFrom(event.target.value)}
                aria-describedby="cut-fault"
              />
            </label>
            <label>
              <span className="block text-slate">Power came back (empty while it is off)</span>
              <input
                className="field"
                type="datetime-local"
                value={until}
                onChange={(event) => setUntil(event.target.value)}
                aria-describedby="cut-fault"
              />
            </label>
          </div>
          <div className="mt-3 flex flex-wrap items-center gap-2">
            <span className="text-slate">off since about</span>
            {HOURS_AGO.map((hours) => (
              <button
                key={hours}
                type="button"
                className="button"
                onClick={() => setFrom(localInput(Date.now() - hours * 3_600_000))}
              >
                {hours} h ago
              </button>
            ))}
          </div>
          <p id="cut-fault" role="alert" className="mt-2 text-beet">
            {trouble}
          </p>
        </div>
        {forms.map((form, at) => (
          <ApplianceForm
            key={form.id}
            form={form}
            onChange={(changed) => setForms(forms.map((old, nth) => (nth === at ? changed : old)))}
          />
        ))}
      </section>
      <section aria-labelledby="verdicts" className="space-y-3">
        <div>
          <h2 id="verdicts" className="text-2xl">
            {until === '' ? 'If the power came back now' : 'What to do with the food'}
          </h2>
          <p role="status" className="text-slate">
            {verdicts
              ? `${verdicts.length} packages judged · when in doubt, throw it out`
              : 'When in doubt, throw it out. You cannot tell by smell.'}
          </p>
        </div>
        {verdicts ? (
          <VerdictGroups
            verdicts={verdicts}
            seen={seen}
            onSeen={(ids, told) => {
              const next = Object.fromEntries(Object.entries(seen).filter(([id]) => !ids.includes(id)));
              if (told !== null) for (const id of ids) next[id] = told;
              setSeen(next);
            }}
          />
        ) : (
          <div className="card space-y-3 p-6">
            <p className="text-lg">
              Tell when the power went off. Every package then gets a verdict, with its reason.
            </p>
            <ul className="list-disc space-y-1 pl-5">
              <li>Keep the doors shut: a fridge holds about 4 hours, a full freezer 48, half full 24.</li>
              <li>
                A reading from the middle of a shelf beats the clock; what you see of an item beats a reading.
              </li>
              <li>
                Babies, pregnant, old or ill people need more caution. Local food-safety advice comes first.
              </li>
            </ul>
          </div>
        )}
      </section>
    </div>
  );
}
