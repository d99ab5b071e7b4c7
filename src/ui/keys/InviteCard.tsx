'use client';

import { useState } from 'react';
import { type Role, ROLE_WORDS, ROLES } from '@/core/model/role';
import type { InvitationView } from '@/services/keys/members';
import { CodePicture } from './CodePicture';

/** Invites somebody: what she may do, then a code to scan, to read out or to send. */
export function InviteCard({
  open,
  invitation,
  busy,
  onInvite,
  onBack,
}: {
  open: number;
  invitation: InvitationView | null;
  busy: boolean;
  onInvite: (role: Role) => void;
  onBack: () => void;
}) {
  const [role, setRole] = useState<Role>('household');
  return (
    <section className="card space-y-4 p-5" aria-labelledby="invite">
      <h2 id="invite" className="text-lg">
        Let somebody in
      </h2>
      <fieldset>
        <legend className="sr-only">What may they do?</legend>
        {ROLES.map((one) => (
          <label key={one} className="flex min-h-12 items-center gap-3">
            <input
              type="radio"
              name="role"
              className="size-6 shrink-0"
              checked={role === one}
              onChange={() => setRole(one)}
            />
            <span>
              <b>{ROLE_WORDS[one].name}</b> <span className="text-slate">may {ROLE_WORDS[one].may}</span>
            </span>
          </label>
        ))}
      </fieldset>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="button"
          data-main="true"
          disabled={busy}
          onClick={() => onInvite(role)}
        >
          Show a code
        </button>
        {open > 0 && (
          <button type="button" className="button" disabled={busy} onClick={onBack}>
            {open === 1 ? 'Take the open code back' : `Take ${open} open codes back`}
          </button>
        )}
      </div>
      {invitation && (
        <div className="flex flex-wrap items-center gap-5" role="status">
          <CodePicture modules={invitation.modules} />
          <div className="min-w-0 flex-1 space-y-2">
            <p className="font-mono text-2xl">{invitation.code}</p>
            <p className="break-all text-slate">{invitation.address}</p>
            <p>Scan it, or type it there. It counts once, for a day.</p>
          </div>
        </div>
      )}
    </section>
  );
}
