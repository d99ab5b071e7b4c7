import type { CalendarDate } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import type { CutSeen } from '../model/cut';
import type { OutageClass } from '../model/outageClass';
import type { Package } from '../model/package';
import type { ZoneMove } from '../model/world';
import type { CutThing, PartStay } from './judgeCut';

/** What a cut needs to know of a package. */
export type CutPackage = Pick<Package, 'id' | 'called' | 'zoneId' | 'useBy' | 'bestBy' | 'condemned'>;

/** Where a package lay, by zone, from its moves; the last stay is where it lies. */
function stays(
  found: CutPackage,
  moves: readonly ZoneMove[],
): { zone: string | null; from: string | null; until: string | null }[] {
  const ordered = [...moves].sort((a, b) => (a.at < b.at ? -1 : 1));
  const [first] = ordered;
  if (!first) return [{ zone: found.zoneId, from: null, until: null }];
  const before = { zone: first.from.here ? first.from.zone : null, from: null, until: first.at };
  return [
    before,
    ...ordered.map(({ at, to }, nth) => ({
      zone: to.here ? to.zone : null,
      from: at,
      until: ordered[nth + 1]?.at ?? null,
    })),
  ];
}

/** From one shelf to another of the same compartment it went nowhere. */
function joined(before: PartStay[], next: PartStay): PartStay[] {
  const last = before.at(-1);
  if (last?.part !== next.part) return [...before, next];
  return [...before.slice(0, -1), { ...last, until: next.until }];
}

/** From when it was carried off it lay there, whatever its zone says. */
function carriedOff(its: PartStay[], movedTo: CutSeen['movedTo']): PartStay[] {
  if (!movedTo) return its;
  const before = its.flatMap((stay): PartStay[] => {
    if (stay.from !== null && stay.from >= movedTo.at) return [];
    return [{ ...stay, until: stay.until === null || stay.until > movedTo.at ? movedTo.at : stay.until }];
  });
  return [...before, { part: movedTo.part, from: movedTo.at, until: null }];
}

/** Why its own date keeps it from being kept, cut or no cut; `null`: it is in date. */
function pastDate({ useBy, bestBy, condemned }: CutPackage, today: CalendarDate): CutThing['past'] {
  if (condemned) return { out: true, says: 'it was to be thrown out before' };
  if (useBy !== null && useBy < today) return { out: true, says: `its use by was ${sayPlainDate(useBy)}` };
  return bestBy < today ? { out: false, says: `its best by was ${sayPlainDate(bestBy)}` } : null;
}

/**
 * A package as a cut sees it: where it lay when, what was seen of it, and whether it is past its own date anyway.
 *
 * @param moves since before the cut, @param partOfZone the compartment of a zone, @param today of the household
 */
export function cutThing(
  found: CutPackage,
  known: {
    outageClass: OutageClass;
    moves: readonly ZoneMove[];
    seen: CutSeen | null;
    partOfZone: (zone: string) => string | null;
    today: CalendarDate;
  },
): CutThing {
  const { seen, partOfZone } = known;
  const its = stays(found, known.moves)
    .map(({ zone, from, until }): PartStay => ({
      part: zone === null ? null : partOfZone(zone),
      from,
      until,
    }))
    .reduce<PartStay[]>(joined, []);
  return {
    id: found.id,
    food: { name: found.called },
    outageClass: known.outageClass,
    stays: carriedOff(its, seen?.movedTo ?? null),
    seen: seen?.seen ?? {},
    past: pastDate(found, known.today),
  };
}
