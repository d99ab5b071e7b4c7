'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { InvitationView, MembersView } from '@/services/keys/members';
import { postJson } from '../door/fetchJson';
import { useDoor } from '../door/useDoor';
import { InviteCard } from './InviteCard';
import { MemberCard } from './MemberCard';
import { MyKey } from './MyKey';
import { SecondFactor } from './SecondFactor';
import { SecurityLog } from './SecurityLog';
import type { SendKey } from './sendKey';

/** Who belongs to this household, by which devices, and how somebody new comes in. */
export function KeysBench({ view }: { view: MembersView }) {
  const router = useRouter();
  const { tell } = useDoor();
  const [busy, setBusy] = useState(false);
  const [invitation, setInvitation] = useState<InvitationView | null>(null);
  const run = async <Answer,>(address: string, body: object): Promise<Answer | null> => {
    setBusy(true);
    try {
      const answer = await postJson<Answer>(`/api/v1/keys/${address}`, body);
      router.refresh();
      return answer;
    } catch (error) {
      tell(error instanceof Error ? error.message : 'That did not work.', 'error');
      return null;
    } finally {
      setBusy(false);
    }
  };
  const send: SendKey = async (address, body) => {
    const answer = await run<{ says: string }>(address, body);
    if (answer) tell(answer.says);
    return answer !== null;
  };
  const cook = view.me === null || view.me.role === 'cook';
  return (
    <>
      <h1 className="text-[1.6rem]">Keys</h1>
      <p className="mb-3 max-w-3xl text-slate">
        {view.asks
          ? `Who may do what at ${view.household}. Each entry carries the name of the person who made it.`
          : 'Only this computer can open Orderly Frost, so no sign-in is needed. Start it with npm start -- --home for other devices; its terminal then shows a set-up code.'}
      </p>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <div className="space-y-4">
          {view.members.map((member) => (
            <MemberCard
              key={member.id}
              member={member}
              mayChange={cook}
              mine={member.id === view.me?.id}
              busy={busy}
              send={send}
            />
          ))}
          {view.members.length === 0 && (
            <p className="card p-5">
              Nobody has a key to {view.household} yet{view.asks ? '.' : ', and nobody needs one.'}
            </p>
          )}
          {view.me && <MyKey me={view.me} busy={busy} send={send} />}
          {view.me && <SecondFactor has={view.me.has_second_factor} busy={busy} send={send} />}
        </div>
        <div className="space-y-4">
          {cook && view.asks && (
            <InviteCard
              open={view.open}
              invitation={invitation}
              busy={busy}
              onInvite={(role) => void run<InvitationView>('invite', { role }).then(setInvitation)}
              onBack={() => void send('invite/back', {}).then(() => setInvitation(null))}
            />
          )}
          {cook && view.asks && (
            <section className="card space-y-3 p-5" aria-labelledby="label-key">
              <h2 id="label-key" className="text-lg">
                Labels for guests
              </h2>
              <p className="text-slate">
                Guests who scan a label here can read that label, and nothing else. A new key ends this for
                labels printed so far. Members can still open them.
              </p>
              <button
                type="button"
                className="button"
                disabled={busy}
                onClick={() => void send('guest-key', {})}
              >
                New key for labels
              </button>
            </section>
          )}
          {view.asks && <SecurityLog />}
        </div>
      </div>
    </>
  );
}
