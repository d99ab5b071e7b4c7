/** Where this browser keeps whether it tells heads-ups, and the day it last did. */
const KEY = 'orderly-frost-notices';

export interface NoticeSetting {
  on: boolean;
  /** Local date of the last notice, `YYYY-MM-DD`. */
  last: string;
}

export function readNoticeSetting(): NoticeSetting {
  try {
    return { on: false, last: '', ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as object) };
  } catch {
    return { on: false, last: '' };
  }
}

export function writeNoticeSetting(setting: NoticeSetting): void {
  localStorage.setItem(KEY, JSON.stringify(setting));
}

/**
 * True when a notice is due: none today yet, and the household's time has come.
 *
 * @param clock the browser's own, `HH:MM`
 */
export function noticeIsDue(setting: NoticeSetting, today: string, clock: string, notifyAt: string): boolean {
  return setting.on && setting.last < today && clock >= notifyAt;
}
