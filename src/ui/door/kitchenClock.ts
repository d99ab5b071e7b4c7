import { useSyncExternalStore } from 'react';

/** A page older than this was kept on the device: its own time is long past. */
const KEPT_AFTER_MS = 90_000;
const PLACE = 'orderly-frost:clock-off';
/** So many askings in a row without an answer, and the server counts as out of reach. */
const MOST_LOST = 2;

let lost = 0;
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
  if (lost === 0) return;
  lost = 0;
  tell();
}

/** It did not answer. */
export function noteLost(): void {
  lost += 1;
  if (lost === MOST_LOST) tell();
}

/**
 * The kitchen's time now, ISO 8601: the page's own time going on, or, where the page was kept for longer, this device's clock put
 * right by as much as it was last known to be off.
 *
 * @param told when the page was made, ISO 8601 @param sinceMs how long it is open
 */
export function kitchenNow(told: string, sinceMs: number): string {
  const byPage = Date.parse(told) + sinceMs;
  const byDevice = Date.now() + offsetMs();
  return new Date(byDevice - byPage > KEPT_AFTER_MS ? byDevice : byPage).toISOString();
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
