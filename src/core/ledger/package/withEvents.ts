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

/** What is known of when a world's command happened. */
export type TellingWorld = Pick<JudgingWorld, 'today' | 'food' | 'caution'> &
  Partial<Pick<JudgingWorld, 'at'>>;

/** True when an entry stands before another: on an earlier day, or at an earlier instant; of one day without an instant, as it was told. */
export const isBefore = (one: HistoryEvent, other: HistoryEvent): boolean =>
  one.on < other.on ||
  (one.on === other.on && (one.at === undefined || other.at === undefined || one.at <= other.at));

/** A history with an event where it happened. */
function inserted(history: readonly HistoryEvent[], event: HistoryEvent): HistoryEvent[] {
  const after = history.findLastIndex((one) => isBefore(one, event));
  return [...history.slice(0, after + 1), event, ...history.slice(after + 1)];
}

/**
 * The package with an event told late, put where it happened, and everything after it judged again (L1). What then cannot have been
 * makes it doubtful: it is to be thrown out.
 */
function withLate(
  before: Package,
  event: HistoryEvent,
  world: TellingWorld,
  changes: Partial<UndatedPackage>,
): Package {
  const history = inserted(before.history, event);
  const at = history.indexOf(event);
  // By itself it is judged as if it had been told in time.
  judgePackage({ ...before, history: history.slice(0, at + 1) }, world, at);
  const told = { ...before, history, ...changes, version: before.version + 1 };
  const plain = { ...event, on: later(event.on, before.history.at(-1)?.on ?? event.on) };
  const plainly = { ...told, history: [...before.history, plain] };
  const judged = doubtHistory(told, world);
  if (judged !== told) return judged;
  const dated = (one: UndatedPackage): Package => judgePackage(one, world, one.history.length);
  const [inTime, late] = [dated(told), dated(plainly)];
  // No order of telling makes it later, nor its quality last longer: what was found is found on both days then.
  if (late.governingDate >= inTime.governingDate) return inTime;
  if (event.did !== 'found-turning' || late.bestBy <= inTime.bestBy) return late;
  return dated({ ...told, history: [...history, plain] });
}

/**
 * The package with more events, dated anew, one version on. What is told late stands where it happened, never before the package began.
 */
export function withEvents(
  before: Package,
  events: readonly HistoryEvent[],
  world: TellingWorld,
  changes: Partial<UndatedPackage> = {},
): Package {
  const { at, today } = world;
  const last = before.history.at(-1);
  const lastOn = last?.on ?? world.today;
  const stamped = events.map((event) => (at === undefined || event.on !== today ? event : { at, ...event }));
  const [single, ...others] = stamped;
  const began = before.history[0]?.on ?? lastOn;
  const isLate = (event: HistoryEvent): boolean =>
    event.on >= began && last !== undefined && !isBefore(last, event);
  if (single && others.length === 0 && LATE.has(single.did) && isLate(single))
    return withLate(before, single, world, changes);
  const told = stamped.map((event) => ({ ...event, on: later(event.on, lastOn) }));
  // A stay that comes first was measured by our own clock: it counts, and is never refused.
  const first = told.findIndex(({ did }) => did !== 'counter');
  const measured = first < 0 ? told.length : first;
  return judgePackage(
    { ...before, history: [...before.history, ...told], ...changes, version: before.version + 1 },
    world,
    before.history.length + measured,
  );
}
