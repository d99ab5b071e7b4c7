'use client';

import { useState, useSyncExternalStore } from 'react';
import { useDoor } from '../door/useDoor';
import { readNoticeSetting, writeNoticeSetting } from '../shell/noticeSetting';

/** Asks the browser for leave to tell heads-ups, and takes it back. */
export function BrowserNotices({ notifyAt }: { notifyAt: string }) {
  const { tell } = useDoor();
  const [toggled, setToggled] = useState<boolean | null>(null);
  const kept = useSyncExternalStore(
    () => () => undefined,
    () => readNoticeSetting().on,
    () => false,
  );
  const shown = toggled ?? kept;
  const toggle = async (): Promise<void> => {
    if (shown) {
      writeNoticeSetting({ ...readNoticeSetting(), on: false });
      setToggled(false);
      return;
    }
    if (!('Notification' in window)) return tell('This browser has no notifications.', 'error');
    if ((await Notification.requestPermission()) !== 'granted') {
      return tell(
        'The browser said no. Allow notifications for this page in its settings, then try again.',
        'error',
      );
    }
    writeNoticeSetting({ ...readNoticeSetting(), on: true });
    setToggled(true);
    tell(`This browser tells the heads-ups from ${notifyAt} on, while a page of Orderly Frost is open.`);
  };
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-3">
      <input
        type="checkbox"
        className="size-6 accent-[var(--ink)]"
        checked={shown}
        onChange={() => void toggle()}
      />
      <span>Tell me in this browser at {notifyAt}</span>
    </label>
  );
}
