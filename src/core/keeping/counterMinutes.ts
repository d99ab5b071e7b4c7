import type { PackageState } from '../model/history';

/** Minutes a controlled food may stand out of the cold in all; above 32 °C each counts for two (public two-hour rule). */
export const MOST_COUNTER_MINUTES = 120;

/** No longer stay is counted than a week: whatever stands out so long is past saving. */
export const MOST_STOOD_MINUTES = 10_080;

/** Minutes that a hard-frozen package may be out each time before they count (K10). */
export const FROZEN_GRACE_MINUTES = 15;

/**
 * Minutes from one instant (ISO 8601) to another, begun ones counted whole: rounding is never for the milder side. Never
 * below 0, so a clock set back adds none.
 */
export function minutesBetween(since: string, at: string): number {
  return Math.max(0, Math.ceil((Date.parse(at) - Date.parse(since)) / 60_000));
}

/**
 * What a stay out of the cold counts for (K10): hard-frozen food has its grace each time, above 32 °C a minute counts for two.
 *
 * @param minutes by the clock
 */
export function countedMinutes(state: PackageState, minutes: number, hot: boolean): number {
  const over = state === 'frozen' ? Math.max(0, minutes - FROZEN_GRACE_MINUTES) : minutes;
  return hot ? over * 2 : over;
}

/**
 * Safe minutes that are left of a package out of the cold (K10), 0 or less once they are up.
 *
 * @param spent counted minutes of earlier stays
 * @param since when the present stay began, ISO 8601; `null` while it lies in a zone
 * @param at now, ISO 8601
 */
export function counterMinutesLeft(
  spent: number,
  since: string | null,
  at: string,
  state: PackageState,
): number {
  const stay = since === null ? 0 : countedMinutes(state, minutesBetween(since, at), false);
  return MOST_COUNTER_MINUTES - spent - stay;
}
