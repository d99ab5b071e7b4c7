'use client';

import { useRead } from '../door/useRead';

interface Log {
  events: { at: string; kind: string; member: string | null; says: string }[];
}

/** What happened to the keys of this household, for its cooks. */
export function SecurityLog() {
  const { body, fault } = useRead<Log>('/api/v1/keys/log');
  return (
    <section className="card space-y-3 p-5" aria-labelledby="key-log">
      <h2 id="key-log" className="text-lg">
        Sign-ins and changes
      </h2>
      {fault !== '' && <p role="alert">{fault}</p>}
      {body?.events.length === 0 && (
        <p className="text-slate">Sign-ins and changes of keys will stand here.</p>
      )}
      <ul className="max-h-96 divide-y divide-line overflow-y-auto" tabIndex={0} aria-labelledby="key-log">
        {body?.events.map(({ at, says }, nth) => (
          <li key={`${at}-${nth}`} className="py-2">
            <span className="block text-slate" suppressHydrationWarning>
              {new Date(at).toLocaleString('en-GB', {
                weekday: 'short',
                day: 'numeric',
                month: 'short',
                hour: '2-digit',
                minute: '2-digit',
              })}
            </span>
            {says}
          </li>
        ))}
      </ul>
    </section>
  );
}
