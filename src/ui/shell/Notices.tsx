'use client';

import { useEffect } from 'react';
import { fetchJson } from '../door/fetchJson';
import { noticeIsDue, readNoticeSetting, writeNoticeSetting } from './noticeSetting';

const LOOK_EVERY_MS = 60_000;

const twoDigits = (value: number): string => String(value).padStart(2, '0');

/** Tells the day's heads-ups as a browser notification, once a day from the household's time on, where allowed. */
export function Notices({ notifyAt }: { notifyAt: string }) {
  useEffect(() => {
    const look = async (): Promise<void> => {
      if (!('Notification' in window) || Notification.permission !== 'granted') return;
      const now = new Date();
      const today = `${now.getFullYear()}-${twoDigits(now.getMonth() + 1)}-${twoDigits(now.getDate())}`;
      const clock = `${twoDigits(now.getHours())}:${twoDigits(now.getMinutes())}`;
      const setting = readNoticeSetting();
      if (!noticeIsDue(setting, today, clock, notifyAt)) return;
      writeNoticeSetting({ ...setting, last: today });
      const view = await fetchJson<{ asking: number; summary: string }>('/api/v1/today');
      if (view.asking === 0) return;
      const notice = new Notification('Orderly Frost', { body: view.summary, tag: `heads-ups-${today}` });
      notice.onclick = () => window.focus();
    };
    const timer = setInterval(() => void look().catch(() => undefined), LOOK_EVERY_MS);
    void look().catch(() => undefined);
    return () => clearInterval(timer);
  }, [notifyAt]);
  return null;
}
