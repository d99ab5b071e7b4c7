import { useSyncExternalStore } from 'react';

const PLACE = 'orderly-frost:clock-off';
/** So many askings in a row without an answer, and the server counts as out of reach. */
const MOST_LOST = 2;

let lost = 0;
/** True once the server has said what time it has, or did not answer: before that the page's own time is the best there is. */
let asked = false;
const listeners = new Set<() => void>();
const tell = (): void => listeners.forEach((changed) => changed());

function offsetMs(): number {
  try {
    return Number(localStorage.getItem(PLACE) ?? 0) || 0;
  } catch {
    return 0;
  }
}

/** The kitchen's server answered, and said what time it has, ISO 8601: how far this device's clock is off is kept. */
export function noteReached(at: string): void {
  try {
    localStorage.setItem(PLACE, String(Date.parse(at) - Date.now()));
  } catch {
    // Kept nowhere: this device's clock is taken as it is.
  }
  asked = true;
  if (lost === 0) return;
  lost = 0;
  tell();
}

/** It did not answer. */
export function noteLost(): void {
  asked = true;
  lost += 1;
  if (lost === MOST_LOST) tell();
}

/**
 * The kitchen's time now, ISO 8601: this device's clock put right by as much as the server says that it is off, or said when it was
 * last reached: a page that was kept has an old time. Before it was asked, the page's own time going on.
 *
 * @param told when the page was made, ISO 8601 @param sinceMs how long it is open
 */
export function kitchenNow(told: string, sinceMs: number): string {
  const byPage = Date.parse(told) + sinceMs;
  // Never before the page was made.
  return new Date(asked ? Math.max(byPage, Date.now() + offsetMs()) : byPage).toISOString();
}

function subscribe(changed: () => void): () => void {
  listeners.add(changed);
  addEventListener('online', changed);
  addEventListener('offline', changed);
  return () => {
    listeners.delete(changed);
    removeEventListener('online', changed);
    removeEventListener('offline', changed);
  };
}

/** Whether the kitchen's server is within reach, as far as this page knows. */
export const useReached = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => navigator.onLine && lost < MOST_LOST,
    () => true,
  );
