import { addDays } from '../../calendar/calendarDate';
import { sayPlainDate } from '../../calendar/sayDate';
import type { HistoryEvent } from '../../model/history';
import type { LedgerEvent, Package } from '../../model/package';
import type { World } from '../../model/world';
import { joiningOf, type JudgingWorld } from './judgePackage';
import { isBefore, withEvents } from './withEvents';

/** True when anything of it is earlier, or it is to be thrown out now. */
const isStricter = (judged: Package, found: Package): boolean =>
  judged.governingDate < found.governingDate ||
  judged.bestBy < found.bestBy ||
  (judged.condemned && !found.condemned);

/** A part that was split off since: what is told late happened to it too. */
function alsoTold(part: Package, late: readonly HistoryEvent[], world: JudgingWorld): Package {
  return late.reduce((found, event) => {
    const opened = found.history.find(({ did }) => did === 'opened');
    if (event.did !== 'opened' || !opened) return withEvents(found, [event], world);
    // It opens once, when it was first.
    if (isBefore(opened, event)) return found;
    const closed = found.history.filter(({ did }) => did !== 'opened');
    return withEvents({ ...found, history: closed, openedOn: null }, [event], world);
  }, part);
}

type Joining = ReturnType<typeof joiningOf>;

/** What a frozen part brings to what was thawed and made of it: its days count from then. */
function thawedFor(found: Package, joining: Joining): Joining {
  const { useBy, days, controlled } = joining;
  if (useBy !== null || days === null || !controlled || found.state === 'frozen') return joining;
  const since = found.history.find(({ did }) => did === 'joined')?.on ?? found.startOn;
  return { ...joining, useBy: addDays(since, days) };
}

/**
 * What a part brings to what was made of it: as it is now, and as it was at any time between what is told and when it went in, since it may
 * have been split off in between.
 */
function joiningsOf(
  { before, after }: { before: Package; after: Package },
  found: Package,
  late: readonly HistoryEvent[],
  world: JudgingWorld,
): Joining[] {
  const lengths = new Set<number>();
  for (const joined of found.history) {
    if (joined.did !== 'joined' || !late.every((event) => isBefore(event, joined))) continue;
    before.history.forEach((event, at) => {
      const next = before.history[at + 1];
      const follows = next === undefined || late.some((one) => isBefore(one, next));
      if (isBefore(event, joined) && follows) lengths.add(at + 1);
    });
  }
  lengths.delete(before.history.length);
  const then = [...lengths].map((length): Package => {
    const history = before.history.slice(0, length);
    const openedOn = history.some(({ did }) => did === 'opened') ? before.openedOn : null;
    return withEvents({ ...before, history, openedOn }, late, world);
  });
  return [...then, after].map((part) => thawedFor(found, joiningOf(part, world)));
}

/**
 * What is told late of a package happened to all that was made of it since (L1, L2): split off, it has the same life; put together
 * with others, it is dated by the strictest of them.
 *
 * @param events what the command decided, the package itself first
 */
export function alsoMade(events: LedgerEvent[], world: World): LedgerEvent[] {
  const [told] = events;
  if (!told?.before || world.at >= world.now) return events;
  const { before, after } = told;
  // Whatever day it was given there, it happened on the command's own.
  const late = after.history
    .filter((event) => !before.history.includes(event))
    .map((event) => ({ ...event, on: world.today }));
  if (late.length === 0) return events;
  const more = world.madeOf(before.id).flatMap((found): LedgerEvent[] => {
    if (events.some((event) => event.after.id === found.id)) return [];
    const judged =
      found.lotId === before.lotId
        ? alsoTold(found, late, world)
        : withEvents(found, joiningsOf({ before, after }, found, late, world), world);
    if (!isStricter(judged, found)) return [];
    const says = `${found.called} ${found.code} is made of ${before.code}: dated ${sayPlainDate(judged.governingDate)} like it.`;
    return [
      { type: 'package.redated', before: found, after: { ...judged, version: found.version + 1 }, says },
    ];
  });
  return [...events, ...more];
}
