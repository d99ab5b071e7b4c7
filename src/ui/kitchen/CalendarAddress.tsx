'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { postJson } from '../door/fetchJson';
import { useDoor } from '../door/useDoor';
import { BrowserNotices } from './BrowserNotices';

/** Where heads-ups go besides Today: the calendar's secret address, the morning slip, this browser. */
export function CalendarAddress({
  address,
  own,
  notifyAt,
}: {
  address: string;
  /** It is a member's own, and ends with her. */
  own: boolean;
  notifyAt: string;
}) {
  const router = useRouter();
  const { act, busy, tell } = useDoor();
  const renew = async (): Promise<void> => {
    if (!own) {
      await act({ type: 'household.set', renew_feed: true });
      return;
    }
    await postJson<{ says: string }>('/api/v1/keys/calendar', {})
      .then(({ says }) => tell(says))
      .catch((error: unknown) =>
        tell(error instanceof Error ? error.message : 'That did not work.', 'error'),
      );
    router.refresh();
  };
  const [sure, setSure] = useState(false);
  return (
    <section className="card space-y-4 p-5" aria-labelledby="calendar">
      <h2 id="calendar" className="text-lg">
        Told elsewhere
      </h2>
      <div>
        <label>
          <span className="block text-slate">
            {own ? 'Your own calendar address' : 'Calendar address'}; one entry a day at {notifyAt}. Anybody
            who has it can read the reminders.{own && ' It ends when you leave this household.'}
          </span>
          <input
            readOnly
            className="field font-mono text-[0.9375rem]"
            value={address}
            onFocus={(event) => event.target.select()}
          />
        </label>
        <div className="mt-2 flex flex-wrap gap-2">
          <button
            type="button"
            className="button"
            data-main="true"
            onClick={() =>
              void navigator.clipboard
                .writeText(address)
                .then(() => tell('The calendar address is copied.'))
                .catch(() =>
                  tell('Copying is not allowed here; choose the address and copy it by hand.', 'error'),
                )
            }
          >
            Copy the address
          </button>
          {sure ? (
            <button
              type="button"
              className="button"
              data-danger="true"
              disabled={busy}
              onClick={() => {
                setSure(false);
                void renew();
              }}
            >
              Yes, shut the old address
            </button>
          ) : (
            <button type="button" className="button" onClick={() => setSure(true)}>
              New address
            </button>
          )}
        </div>
      </div>
      <BrowserNotices notifyAt={notifyAt} />
      <div>
        <a className="button" href="/api/v1/slip" target="_blank" rel="noreferrer">
          Morning slip to print (PDF)
        </a>
      </div>
    </section>
  );
}
