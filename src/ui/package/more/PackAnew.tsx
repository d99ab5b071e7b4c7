'use client';

import { useState } from 'react';
import { WRAPS, type Wrap } from '@/core/model/history';
import type { PackageDetail } from '@/services/stock/package';
import { Choice } from '../../forms/Choice';
import type { Run } from './run';

const WAYS = [
  ['bread', 'Breaded'],
  ['marinate', 'Marinated'],
  ['mash', 'Mashed'],
] as const;

/** Poured into another container, or breaded, marinated, mashed: its clock goes on. */
export function PackAnew({ detail, run }: { detail: PackageDetail; run: Run }) {
  const [wrap, setWrap] = useState<Wrap>(detail.wrap === 'tub' ? 'jar' : 'tub');
  const [note, setNote] = useState('');
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-end gap-2">
        <Choice
          label="Poured or packed into"
          value={wrap}
          choices={WRAPS.filter((one) => one !== detail.wrap).map(
            (one) => [one, one.replace('-', ' ')] as const,
          )}
          onChoose={setWrap}
        />
        <button
          type="button"
          className="button"
          data-main="true"
          onClick={() => run('package.pour', { wrap, form: detail.form })}
        >
          It is in there now
        </button>
      </div>
      {!detail.hard_frozen && (
        <div className="flex flex-wrap items-end gap-2">
          <label>
            <span className="block text-slate">or made ready, with</span>
            <input
              className="field"
              maxLength={200}
              placeholder="thyme and oil"
              value={note}
              onChange={(event) => setNote(event.target.value)}
            />
          </label>
          {WAYS.map(([way, words]) => (
            <button
              key={way}
              type="button"
              className="button"
              onClick={() => run('package.prepare', { way, note })}
            >
              {words}
            </button>
          ))}
        </div>
      )}
      <p className="text-[0.9375rem] text-slate">
        Its clock goes on{detail.opened ? '' : ', and it counts as opened today'}. Only cooking begins a new
        one.
      </p>
    </div>
  );
}
