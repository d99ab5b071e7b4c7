'use client';

import { useRouter } from 'next/navigation';
import type { TodayView } from '@/services/today/today';

/** The whole house, one room, one appliance. */
export function ScopeSwitch({ scope, scopes }: Pick<TodayView, 'scope' | 'scopes'>) {
  const router = useRouter();
  const part = (prefix: string, label: string) => (
    <optgroup label={label}>
      {scopes
        .filter(({ key }) => key.startsWith(prefix))
        .map(({ key, name }) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
    </optgroup>
  );
  return (
    <label className="flex items-center gap-2 text-slate">
      Look at
      <select
        className="field w-auto"
        value={scope}
        onChange={(event) =>
          router.replace(
            event.target.value === '' ? '/' : `/?scope=${encodeURIComponent(event.target.value)}`,
          )
        }
      >
        <option value="">Whole house</option>
        {part('room:', 'Rooms')}
        {part('appliance:', 'Appliances')}
      </select>
    </label>
  );
}
