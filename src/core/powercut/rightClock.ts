import type { Reading } from '../model/cut';

/**
 * Puts the times of a log right whose thermometer's clock runs fast or slow: it was right when it was read last, and is off by
 * the difference now; between the two the error grew evenly.
 *
 * @param log by its own clock
 * @param clock what its clock shows now, what is right, and when it was last right; `null`: never, then all of it is off by the same
 */
export function rightClock(
  log: readonly Reading[],
  { itsNow, now, setAt }: { itsNow: string; now: string; setAt: string | null },
): Reading[] {
  const [shown, right] = [Date.parse(itsNow), Date.parse(now)];
  const set = setAt === null ? null : Date.parse(setAt);
  const shareOf = (at: number): number =>
    set === null || shown <= set ? 1 : Math.min(1, Math.max(0, (at - set) / (shown - set)));
  return log.map(({ at, c }) => {
    const told = Date.parse(at);
    return { at: new Date(Math.round(told + (right - shown) * shareOf(told))).toISOString(), c };
  });
}
