import type { Reading } from '../model/cut';
import type { Alarm } from '../model/thermometer';

const MINUTE_MS = 60_000;
const HOUR_MS = 3_600_000;
/** A reading that falls back by less than this does not end a warm spell: thermometers are no better. */
const NOISE_K = 0.5;
/** A cut that began longer before its alarm than this is put right by the cook. */
const MOST_BACK_MS = 72 * HOUR_MS;

/** A stretch in which it was warmer than the alarm allows. */
export interface WarmSpell {
  /** The first reading that was too warm, ISO 8601 UTC. */
  since: string;
  /** The last one. */
  to: string;
  /** °C. */
  warmestC: number;
  /** When the warming began, by the readings before: the power went about then. */
  risingSince: string;
}

const ms = (at: string): number => Date.parse(at);

/**
 * When the warming began that passed the alarm at `crossing`: the last reading near the lowest level before, and the one before
 * it, since the power may have gone between the two.
 */
function risingSince(log: readonly Reading[], crossing: number): string {
  const end = log[crossing];
  if (!end) return '';
  let [lowest, first] = [end.c, crossing];
  for (let at = crossing - 1; at >= 0; at--) {
    const one = log[at];
    if (!one || ms(end.at) - ms(one.at) > MOST_BACK_MS || one.c > lowest + 2 * NOISE_K) break;
    lowest = Math.min(lowest, one.c);
    first = at;
  }
  const near = log.slice(first, crossing).findLastIndex(({ c }) => c <= lowest + NOISE_K);
  return log[Math.max(first, first + near - 1)]?.at ?? end.at;
}

/**
 * The warm spell that lasts at the end of a log; `null`: it ended, or it was shorter than the alarm waits. A gap in the log is no
 * proof of cold: readings that are too warm on both sides count with what lies between.
 *
 * @param log readings in order of time
 */
export function warmSpell(
  log: readonly Reading[],
  { aboveC, minutes }: Pick<Alarm, 'aboveC' | 'minutes'>,
): WarmSpell | null {
  let begun: number | null = null;
  for (const [at, { c }] of log.entries()) {
    if (begun === null && c > aboveC) begun = at;
    else if (begun !== null && c <= aboveC - NOISE_K) begun = null;
  }
  const [first, last] = [log[begun ?? -1], log.at(-1)];
  if (begun === null || !first || !last || ms(last.at) - ms(first.at) < minutes * MINUTE_MS) return null;
  return {
    since: first.at,
    to: last.at,
    warmestC: Math.max(...log.slice(begun).map(({ c }) => c)),
    risingSince: risingSince(log, begun),
  };
}
