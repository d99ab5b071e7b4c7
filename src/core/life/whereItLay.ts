import type { CalendarDate } from '../calendar/calendarDate';
import type { ZoneMove } from '../model/world';

/** Where something lay, and when; `null`: from before anybody looks, or until now. `zone` is `null` out of the cold, or gone. */
export interface Stay {
  zone: string | null;
  from: string | null;
  until: string | null;
}

/** One way through the places that something lay in, with the foods it was on the way: what is made of others has as many as they. */
export interface LifeLine {
  foods: readonly string[];
  stays: readonly Stay[];
}

/** A package whose places are asked. */
export interface Placed {
  id: string;
  foodId: string;
  /** Where it lies, or lay last. */
  zoneId: string | null;
  /** How it began, where it began a lot of its own. */
  start?: { did: string; on: CalendarDate };
}

/** What is known of where packages lay. */
export interface Places {
  /** The moves of a package, in any order, since before anybody looks. */
  movesOf(id: string): readonly ZoneMove[];
  /** The household's date of an instant. */
  dayOf(instant: string): CalendarDate;
  /** A food that needs cooking: cooked with it, others begin a new lot (L3). */
  toCook(foodId: string): boolean;
}

/** A day is told without an hour: the earliest instant it may mean, in any time zone. */
const earliestOf = (day: CalendarDate): string =>
  new Date(Date.parse(`${day}T00:00:00.000Z`) - 14 * 3_600_000).toISOString();

/** What is missed lies where it lay last: nobody carried it off. */
const zoneAfter = ({ to, lost, from }: ZoneMove): string | null =>
  to.here ? to.zone : lost ? from.zone : null;

function ownStays({ zoneId, start }: Placed, moves: readonly ZoneMove[], { dayOf }: Places): Stay[] {
  const [first] = moves;
  if (!first) return [{ zone: zoneId, from: null, until: null }];
  const after = moves.map((move, nth): Stay => ({
    zone: zoneAfter(move),
    from: move.at,
    until: moves[nth + 1]?.at ?? null,
  }));
  if (first.from.here) return [{ zone: first.from.zone, from: null, until: first.at }, ...after];
  // Entered on a later day than it began, it lay there since then.
  const late = !first.of?.length && start !== undefined && start.on < dayOf(first.at);
  return late
    ? after.map((stay, nth) => (nth === 0 ? { ...stay, from: earliestOf(start.on) } : stay))
    : after;
}

const upTo = (stays: readonly Stay[], at: string): Stay[] =>
  stays.flatMap((stay): Stay[] => {
    if (stay.from !== null && stay.from >= at) return [];
    return [{ ...stay, until: stay.until === null || stay.until > at ? at : stay.until }];
  });

const since = (stays: readonly Stay[], at: string): Stay[] =>
  stays.flatMap((stay): Stay[] => {
    if (stay.until !== null && stay.until <= at) return [];
    return [{ ...stay, from: stay.from === null || stay.from < at ? at : stay.from }];
  });

/**
 * Where a package lay (L1, L2): its own places, and those of all that it was made of, each with the hours since they came together.
 * The first way is its own. Cooking something that needs it begins a new lot, without the hours before (L3).
 */
export function whereItLay(
  found: Placed,
  places: Places,
  passed: ReadonlySet<string> = new Set(),
): LifeLine[] {
  if (passed.has(found.id)) return [];
  const known = new Set([...passed, found.id]);
  const moves = [...places.movesOf(found.id)].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  const own = ownStays(found, moves, places);
  const parents = moves.flatMap(({ at, of = [], from }) => {
    const anew =
      !from.here && found.start?.did === 'cooked' && of.some(({ foodId }) => places.toCook(foodId));
    return anew ? [] : of.map((parent) => ({ at, parent }));
  });
  return [
    { foods: [found.foodId], stays: own },
    ...parents.flatMap(({ at, parent }) =>
      whereItLay(parent, places, known).map(({ foods, stays }) => ({
        foods: [...foods, found.foodId],
        stays: [...upTo(stays, at), ...since(own, at)],
      })),
    ),
  ];
}
