'use client';

import { mayOffer } from '@/core/keeping/mayEat';
import { useState } from 'react';
import { WRAPS } from '@/core/model/history';
import type { PackageView } from '@/services/stock/packageView';
import { Choice } from '../forms/Choice';
import { DayField } from '../forms/DayField';

/** A zone as it may be chosen for several at once. */
export interface DeedZone {
  id: string;
  name: string;
  cold: 'fridge' | 'freezer';
}
type All = (
  type: string,
  more?: Record<string, unknown> | ((one: PackageView) => Record<string, unknown>),
) => void;

const READY = [
  ['bread', 'breaded'],
  ['marinate', 'marinated'],
  ['mash', 'mashed'],
] as const;

/** What is done more rarely with several packages at once: each way is one command a package, and one undo for all. */
export function ChosenDeeds({
  chosen,
  zones,
  all,
}: {
  chosen: readonly PackageView[];
  zones: readonly DeedZone[];
  all: All;
}) {
  const [began, setBegan] = useState('');
  const [reason, setReason] = useState('');
  const places = (cold: DeedZone['cold'], words: string) =>
    [
      ['', words],
      ...zones.filter((zone) => zone.cold === cold).map(({ id, name }) => [id, name] as const),
    ] as const;
  const frozen = chosen.every(({ state }) => state === 'frozen');
  const notFrozen = chosen.every(({ state }) => state !== 'frozen');
  const may = chosen.every(({ verdict }) => mayOffer({ may: verdict }));
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2 border-t border-tape-edge pt-2">
      {notFrozen && may && (
        <Choice
          label="Freeze them in"
          value=""
          choices={places('freezer', 'which zone …')}
          onChoose={(zone) => zone !== '' && all('package.freeze', { zone })}
        />
      )}
      {frozen && (
        <Choice
          label="Move them down to thaw"
          value=""
          choices={places('fridge', 'which zone …')}
          onChoose={(zone) => zone !== '' && all('package.thaw', { method: 'fridge', zone })}
        />
      )}
      <Choice
        label="Poured or packed into"
        value=""
        choices={[['', 'what …'], ...WRAPS.map((one) => [one, one.replace('-', ' ')] as const)]}
        onChoose={(wrap) => wrap !== '' && all('package.pour', ({ form }) => ({ wrap, form }))}
      />
      {notFrozen && (
        <Choice
          label="Made ready"
          value=""
          choices={[['', 'how …'], ...READY]}
          onChoose={(way) => way !== '' && all('package.prepare', { way })}
        />
      )}
      {chosen.every(({ amount }) => amount > 1) && (
        <button
          type="button"
          className="button"
          onClick={() => all('package.split', ({ amount }) => ({ amounts: [Math.floor(amount / 2)] }))}
        >
          Split in halves
        </button>
      )}
      <button type="button" className="button" onClick={() => all('package.relabel')}>
        New labels
      </button>
      <form
        className="flex flex-wrap items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (began !== '' && reason.trim() !== '')
            all('package.correct', { startOn: began, reason: reason.trim() });
        }}
      >
        <DayField label="They began on" value={began} onChange={setBegan} />
        <label>
          <span className="block text-slate">Why?</span>
          <input
            className="field"
            maxLength={120}
            placeholder="read wrong"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
        </label>
        <button type="submit" className="button" disabled={began === '' || reason.trim() === ''}>
          Put them right
        </button>
      </form>
    </div>
  );
}
