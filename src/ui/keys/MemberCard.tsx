'use client';

import { useState } from 'react';
import { type Role, ROLE_WORDS, ROLES } from '@/core/model/role';
import type { MembersView } from '@/services/keys/members';
import { Choice } from '../forms/Choice';
import type { SendKey } from './sendKey';

/** "today", "yesterday", "12 days ago". */
function sayAgo(instant: string): string {
  const days = Math.floor((Date.now() - Date.parse(instant)) / 86_400_000);
  return days < 1 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
}

/** One member: what she may do, the devices she is signed in on, and the way out. */
export function MemberCard({
  member,
  mayChange,
  mine,
  busy,
  send,
}: {
  member: MembersView['members'][number];
  mayChange: boolean;
  mine: boolean;
  busy: boolean;
  send: SendKey;
}) {
  const [sure, setSure] = useState(false);
  const { id, name, role, devices } = member;
  return (
    <section className="card p-5" aria-label={name}>
      <div className="flex flex-wrap items-end gap-3">
        <h2 className="mr-auto text-xl">
          {name}
          {mine && <span className="ml-2 text-base font-normal text-slate">you</span>}
        </h2>
        {mayChange ? (
          <Choice
            label={`What ${name} may`}
            value={role}
            choices={ROLES.map((one): [Role, string] => [one, ROLE_WORDS[one].name])}
            onChoose={(wanted) => void send('role', { member: id, role: wanted })}
          />
        ) : (
          <b>{ROLE_WORDS[role].name}</b>
        )}
      </div>
      <p className="mt-1 text-slate">May {ROLE_WORDS[role].may}.</p>
      {devices.length > 0 && (
        <ul className="mt-3 divide-y divide-line border-t border-line" aria-label={`Devices of ${name}`}>
          {devices.map((device) => (
            <li key={device.id} className="flex min-h-12 flex-wrap items-center gap-x-3">
              <span className="mr-auto">
                {device.name}
                <span className="ml-2 text-slate" suppressHydrationWarning>
                  {device.here ? 'this one' : `seen ${sayAgo(device.seen_at)}`}
                </span>
              </span>
              {!device.here && (
                <button
                  type="button"
                  className="button"
                  aria-label={`Put out ${device.name} of ${name}`}
                  disabled={busy}
                  onClick={() => void send('device/out', { device: device.id })}
                >
                  Put out
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      {member.has_calendar && (mayChange || mine) && (
        <p className="mt-3 flex min-h-12 flex-wrap items-center gap-x-3 border-t border-line pt-2">
          <span className="mr-auto">Calendar address</span>
          <button
            type="button"
            className="button"
            aria-label={`Shut the calendar address of ${name}`}
            disabled={busy}
            onClick={() => void send('calendar/end', { member: id })}
          >
            Shut it
          </button>
        </p>
      )}
      {(mayChange || mine) && (
        <div className="mt-3">
          {sure ? (
            <div className="flex flex-wrap gap-2">
              <button
                type="button"
                className="button"
                data-danger="true"
                disabled={busy}
                onClick={() => void send('member/end', { member: id }).then(() => setSure(false))}
              >
                {mine ? 'Yes, I go' : `Yes, ${name} goes`}
              </button>
              <button type="button" className="button" onClick={() => setSure(false)}>
                No
              </button>
            </div>
          ) : (
            <button type="button" className="button" onClick={() => setSure(true)}>
              {mine ? 'Leave this household' : 'Take the key back'}
            </button>
          )}
        </div>
      )}
    </section>
  );
}
