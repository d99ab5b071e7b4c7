import { sayPlainDate } from '../../calendar/sayDate';
import type { HistoryEvent } from '../../model/history';
import type { LedgerEvent, Package } from '../../model/package';
import type { World } from '../../model/world';
import { joiningOf, type JudgingWorld } from './judgePackage';
import { withEvents } from './withEvents';

/** A part that was split off since: what is told late happened to it too. */
function alsoTold(part: Package, late: readonly HistoryEvent[], world: JudgingWorld): Package {
  return late.reduce((found, event) => {
    if (event.did !== 'opened' || found.openedOn === null) return withEvents(found, [event], world);
    // It opens once, on the earlier day.
    if (found.openedOn <= event.on) return found;
    const closed = found.history.filter(({ did }) => did !== 'opened');
    return withEvents({ ...found, history: closed, openedOn: null }, [event], world);
  }, part);
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
  const late = after.history.filter((event) => !before.history.includes(event));
  if (late.length === 0) return events;
  const more = world.madeOf(before.id).flatMap((found): LedgerEvent[] => {
    if (events.some((event) => event.after.id === found.id)) return [];
    const judged =
      found.lotId === before.lotId
        ? alsoTold(found, late, world)
        : withEvents(found, [joiningOf(after, world)], world);
    if (
      judged === found ||
      (judged.governingDate >= found.governingDate && judged.condemned === found.condemned)
    )
      return [];
    const says = `${found.called} ${found.code} is made of ${before.code}: dated ${sayPlainDate(judged.governingDate)} like it.`;
    return [
      { type: 'package.redated', before: found, after: { ...judged, version: found.version + 1 }, says },
    ];
  });
  return [...events, ...more];
}
