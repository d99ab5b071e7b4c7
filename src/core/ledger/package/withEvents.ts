import { later } from '../../calendar/calendarDate';
import type { HistoryEvent } from '../../model/history';
import type { Package } from '../../model/package';
import type { UndatedPackage } from '../../model/undated';
import { doubtHistory } from './doubtHistory';
import { judgePackage, type JudgingWorld } from './judgePackage';

/** What happens once, at a time of its own: told late, it stands where it happened. */
const LATE: ReadonlySet<string> = new Set([
  'opened',
  'found-turning',
  'found-bad',
  'washed',
  'counter',
  'moved',
]);

/** A history with an event where it happened, after all of the same day. */
function inserted(history: readonly HistoryEvent[], event: HistoryEvent): HistoryEvent[] {
  const after = history.findLastIndex(({ on }) => on <= event.on);
  return [...history.slice(0, after + 1), event, ...history.slice(after + 1)];
}

/**
 * The package with an event told late, put where it happened, and everything after it judged again (L1). What then cannot have been
 * makes it doubtful: it is to be thrown out.
 */
function withLate(
  before: Package,
  event: HistoryEvent,
  world: Pick<JudgingWorld, 'today' | 'food' | 'caution'>,
  changes: Partial<UndatedPackage>,
): Package {
  const history = inserted(before.history, event);
  const at = history.indexOf(event);
  // By itself it is judged as if it had been told in time.
  judgePackage({ ...before, history: history.slice(0, at + 1) }, world, at);
  const told = { ...before, history, ...changes, version: before.version + 1 };
  const plainly = {
    ...told,
    history: [...before.history, { ...event, on: later(event.on, before.history.at(-1)?.on ?? event.on) }],
  };
  const judged = doubtHistory(told, world);
  if (judged !== told) return judged;
  const [inTime, late] = [told, plainly].map((one) => judgePackage(one, world, one.history.length));
  // No order of telling makes it later.
  return late && inTime && late.governingDate < inTime.governingDate ? late : (inTime as Package);
}

/**
 * The package with more events, dated anew, one version on. What is told late stands where it happened, never before the package began.
 */
export function withEvents(
  before: Package,
  events: readonly HistoryEvent[],
  world: Pick<JudgingWorld, 'today' | 'food' | 'caution'>,
  changes: Partial<UndatedPackage> = {},
): Package {
  const last = before.history.at(-1)?.on ?? world.today;
  const [single, ...others] = events;
  const began = before.history[0]?.on ?? last;
  if (single && others.length === 0 && LATE.has(single.did) && single.on < last && single.on >= began)
    return withLate(before, single, world, changes);
  const told = events.map((event) => ({ ...event, on: later(event.on, last) }));
  // A stay that comes first was measured by our own clock: it counts, and is never refused.
  const first = told.findIndex(({ did }) => did !== 'counter');
  const measured = first < 0 ? told.length : first;
  return judgePackage(
    { ...before, history: [...before.history, ...told], ...changes, version: before.version + 1 },
    world,
    before.history.length + measured,
  );
}
