'use client';

import type { Caution } from '@/core/model/history';
import { Choice } from '../forms/Choice';

const CHOICES = [
  ['usual', 'The shorter of our chart and the pack'],
  ['printed', 'The pack’s own use-by, while closed'],
  ['careful', 'The shortest, for delicate people'],
] as const;

const SAYS: Record<Caution, string> = {
  usual:
    'As US advice has it: days count from the day you bought it, and a pack’s date may only shorten them. Raw chicken is then for two days, whatever its pack says.',
  printed:
    'As UK and EU advice has it: a closed pack of raw meat or fish is good until its own use-by, for two weeks at most. Opened, our chart counts again.',
  careful:
    'For babies, pregnant, old or ill people at the table: every food has its fewest days. The pack’s date may only shorten them.',
};

/** By which dates a household goes, each explained. */
export function CautionField({ value, onChoose }: { value: Caution; onChoose: (value: Caution) => void }) {
  return (
    <div className="sm:col-span-2">
      <Choice label="Which dates count" value={value} choices={CHOICES} onChoose={onChoose} />
      <p className="mt-1 text-[0.9375rem] text-slate">{SAYS[value]}</p>
    </div>
  );
}
