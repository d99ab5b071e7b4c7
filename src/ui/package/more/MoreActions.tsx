'use client';

import { useState } from 'react';
import type { PackageDetail } from '@/services/stock/package';
import { useDoor } from '../../door/useDoor';
import { CorrectForm } from './CorrectForm';
import { KeepForForm } from './KeepForForm';
import { MergeForm } from './MergeForm';
import { PackAnew } from './PackAnew';
import { PutBackForm } from './PutBackForm';
import type { Run } from './run';
import { SplitForm } from './SplitForm';

const FORMS = [
  ['split', 'Split', SplitForm],
  ['merge', 'Put together', MergeForm],
  ['anew', 'Pack or prepare', PackAnew],
  ['keep', 'Hands off', KeepForForm],
  ['back', 'It stood out', PutBackForm],
  ['correct', 'Correct', CorrectForm],
] as const;
type Shown = (typeof FORMS)[number][0] | null;

/** Everything else that happens to a package between the zone and the plate. */
export function MoreActions({ detail }: { detail: PackageDetail }) {
  const { act, busy } = useDoor();
  const [shown, setShown] = useState<Shown>(null);
  const run: Run = (type, more = {}) => {
    void act({ type, package: detail.id, version: detail.version, ...more }).then((answers) => {
      if (answers) setShown(null);
    });
  };
  const [, , Form] = FORMS.find(([id]) => id === shown) ?? [];
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap gap-2">
        {FORMS.filter(([id]) => id !== 'split' || detail.amount > 1).map(([id, words]) => (
          <button
            key={id}
            type="button"
            className="button border-line"
            aria-expanded={shown === id}
            onClick={() => setShown(shown === id ? null : id)}
          >
            {words}
          </button>
        ))}
        <button
          type="button"
          className="button border-line"
          disabled={busy}
          onClick={() => run('package.relabel')}
        >
          New label
        </button>
        <button
          type="button"
          className="button"
          data-danger="true"
          disabled={busy}
          onClick={() => run('package.lose')}
        >
          It is nowhere
        </button>
      </div>
      {Form && (
        <fieldset disabled={busy}>
          <Form detail={detail} run={run} />
        </fieldset>
      )}
    </div>
  );
}
