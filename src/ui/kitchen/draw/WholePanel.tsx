'use client';

import { checkDrawing } from '@/core/kitchen/checkDrawing';
import type { ApplianceDrawing, Compartment } from '@/core/model/drawing';
import { Refusal } from '@/core/model/refusal';
import { Said } from '../../units/Said';
import { MeasureField } from './MeasureField';
import type { Drawing } from './useDrawing';

/** @throws Refusal when zones no longer go in */
function withCompartment(
  drawing: ApplianceDrawing,
  id: string,
  changes: Partial<Compartment>,
): ApplianceDrawing {
  const after = {
    ...drawing,
    compartments: drawing.compartments.map((one) => (one.id === id ? { ...one, ...changes } : one)),
  };
  const [fault] = checkDrawing(after);
  if (fault && fault.rule !== 'D1') throw new Refusal(fault.rule, fault.says);
  return after;
}

/** The inner measures of the compartments; what is shown while no zone is chosen. */
export function WholePanel({ drawing }: { drawing: Drawing }) {
  const { present, change, fault } = drawing;
  return (
    <section aria-label="Inner measures" className="space-y-4">
      <p className="text-slate">
        Choose a zone to change it: drag it, drag its edges, use the arrow keys (with Shift for its size), or
        type its measures. <Said>Everything snaps to 10 mm.</Said>
      </p>
      {present.compartments.map((inside) => {
        const set = (changes: Partial<Compartment>): void =>
          change((now) => withCompartment(now, inside.id, changes));
        return (
          <fieldset key={inside.id}>
            <legend className="font-heading font-semibold">
              {inside.name || present.name}, {inside.cold === 'fridge' ? 'a fridge' : 'a freezer'} inside
            </legend>
            <div className="grid grid-cols-2 gap-2">
              <MeasureField
                label="Wide"
                value={inside.widthMm}
                wrong={fault !== ''}
                onSet={(widthMm) => set({ widthMm })}
              />
              <MeasureField
                label="High"
                value={inside.heightMm}
                wrong={fault !== ''}
                onSet={(heightMm) => set({ heightMm })}
              />
              <MeasureField
                label="Deep"
                value={inside.depthMm}
                wrong={fault !== ''}
                onSet={(depthMm) => set({ depthMm })}
              />
              <MeasureField
                label="Door racks deep"
                value={inside.doorMm}
                wrong={fault !== ''}
                onSet={(doorMm) => set({ doorMm })}
              />
            </div>
          </fieldset>
        );
      })}
    </section>
  );
}
