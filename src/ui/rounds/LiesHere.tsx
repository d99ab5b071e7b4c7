'use client';

import { useState } from 'react';
import type { RoundZone } from '@/services/rounds/rounds';
import type { PackageView } from '@/services/stock/packageView';
import { fetchJson } from '../door/fetchJson';
import { useDoor } from '../door/useDoor';

/** Something lies here that should lie elsewhere: by the code on its label it comes into this zone. */
export function LiesHere({ zone, onFound }: { zone: RoundZone; onFound: (found: PackageView) => void }) {
  const { tell } = useDoor();
  const [code, setCode] = useState('');
  const find = async (): Promise<void> => {
    const wanted = code.trim().toUpperCase();
    try {
      const found = await fetchJson<PackageView>(`/api/v1/packages/${encodeURIComponent(wanted)}`);
      if (found.gone) return tell(`${wanted} is not in the store any more. Find brings it back.`, 'error');
      if (found.zone?.id === zone.id) return tell(`${wanted} should lie here: it is in the list.`);
      onFound(found);
      setCode('');
    } catch (error) {
      tell(error instanceof Error ? error.message : `Nothing here is called ${wanted}.`, 'error');
    }
  };
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (code.trim() !== '') void find();
      }}
    >
      <label className="flex-1">
        <span className="block text-slate">Something else lies here: its code</span>
        <input
          className="field"
          value={code}
          maxLength={8}
          autoCapitalize="characters"
          autoComplete="off"
          onChange={(event) => setCode(event.target.value)}
        />
      </label>
      <button type="submit" className="button min-h-11" disabled={code.trim() === ''}>
        It lies here
      </button>
    </form>
  );
}
