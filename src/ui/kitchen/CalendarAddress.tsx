'use client';

import { useState } from 'react';
import { useDoor } from '../door/useDoor';
import { BrowserNotices } from './BrowserNotices';

/** Where heads-ups go besides Today: the calendar's secret address, the morning slip, this browser. */
export function CalendarAddress({ address, notifyAt }: { address: string; notifyAt: string }) {
  const { act, busy, tell } = useDoor();
  const [sure, setSure] = useState(false);
  return (
    <section className="card space-y-4 p-5" aria-labelledby="calendar">
      <h2 id="calendar" className="text-lg">
        Told elsewhere
      </h2>
      <div>
        <label>
          <span className="block text-slate">
            Calendar address; one entry a day at {notifyAt}. Whoever has it may read the heads-ups.
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
                void act({ type: 'household.set', renew_feed: true });
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
