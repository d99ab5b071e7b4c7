/** Minutes a controlled food may stand out of the cold in all; above 32 °C each counts for two (public two-hour rule). */
export const MOST_COUNTER_MINUTES = 120;

/** Whole minutes from one instant (ISO 8601) to another; never below 0, so a clock set back adds none. */
export function minutesBetween(since: string, at: string): number {
  return Math.max(0, Math.floor((Date.parse(at) - Date.parse(since)) / 60_000));
}

/**
 * Safe minutes that are left of a package out of the cold (K10), below 0 once over.
 *
 * @param spent minutes of earlier stays
 * @param since when the present stay began, ISO 8601; `null` while it lies in a zone
 * @param at now, ISO 8601
 */
export function counterMinutesLeft(spent: number, since: string | null, at: string): number {
  return MOST_COUNTER_MINUTES - spent - (since === null ? 0 : minutesBetween(since, at));
}
