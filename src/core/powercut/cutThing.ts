import type { CalendarDate } from '../calendar/calendarDate';
import { sayPlainDate } from '../calendar/sayDate';
import { type Placed, type Places, type Stay, whereItLay } from '../life/whereItLay';
import type { CutSeen } from '../model/cut';
import type { OutageClass } from '../model/outageClass';
import type { Package } from '../model/package';
import type { CutThing, PartStay } from './judgeCut';
import { openedClass } from './openedClass';

/** What a cut needs to know of a package. */
export type CutPackage = Placed & Pick<Package, 'called' | 'openedOn' | 'useBy' | 'bestBy' | 'condemned'>;

/** What a cut needs to know of the kitchen. */
export interface CutKitchen extends Places {
  /** The power-cut class of a food. */
  classOf(foodId: string): string | null;
  /** What is published of a class; `null`: nobody knows it. */
  outageClass(id: string): OutageClass | null;
  /** The compartment of a zone, as it was drawn when the cut began. */
  partOfZone(zone: string): string | null;
  today: CalendarDate;
}

/** From one shelf to another of the same compartment it went nowhere. */
function joined(before: PartStay[], next: PartStay): PartStay[] {
  const last = before.at(-1);
  if (last?.part !== next.part) return [...before, next];
  return [...before.slice(0, -1), { ...last, until: next.until }];
}

/** While it was carried off it lay there, whatever its zone says. */
function carriedOff(its: PartStay[], movedTo: CutSeen['movedTo']): PartStay[] {
  if (!movedTo) return its;
  const { part, at, backAt = null } = movedTo;
  const before = its.flatMap((stay): PartStay[] => {
    if (stay.from !== null && stay.from >= at) return [];
    return [{ ...stay, until: stay.until === null || stay.until > at ? at : stay.until }];
  });
  const after = its.flatMap((stay): PartStay[] => {
    if (backAt === null || (stay.until !== null && stay.until <= backAt)) return [];
    return [{ ...stay, from: stay.from === null || stay.from < backAt ? backAt : stay.from }];
  });
  return [...before, { part, from: at, until: backAt }, ...after];
}

/** Why its own date keeps it from being kept, cut or no cut; `null`: it is in date. */
function pastDate({ useBy, bestBy, condemned }: CutPackage, today: CalendarDate): CutThing['past'] {
  if (condemned) return { out: true, says: 'it was to be thrown out before' };
  if (useBy !== null && useBy < today) return { out: true, says: `its use by was ${sayPlainDate(useBy)}` };
  return bestBy < today ? { out: false, says: `its best by was ${sayPlainDate(bestBy)}` } : null;
}

/** A package as a cut sees it: where it lay when, what was seen of it, and whether it is past its own date anyway; `null`: no class. */
export function cutThing(found: CutPackage, seen: CutSeen | null, kitchen: CutKitchen): CutThing | null {
  const inParts = (stays: readonly Stay[]): PartStay[] =>
    carriedOff(
      stays
        .map(({ zone, from, until }): PartStay => ({
          part: zone === null ? null : kitchen.partOfZone(zone),
          from,
          until,
        }))
        .reduce<PartStay[]>(joined, []),
      seen?.movedTo ?? null,
    );
  const classesOf = (foods: readonly string[]): OutageClass[] =>
    [...new Set(foods)].flatMap((food) => {
      const id = kitchen.classOf(food);
      return id === null ? [] : (kitchen.outageClass(openedClass(id, found.openedOn !== null)) ?? []);
    });
  const [own, ...others] = whereItLay(found, kitchen);
  const [outageClass] = classesOf([found.foodId]);
  if (!outageClass || !own) return null;
  return {
    ...{ id: found.id, food: { name: found.called }, outageClass, stays: inParts(own.stays) },
    others: others.flatMap(({ foods, stays }) =>
      classesOf(foods).map((its) => ({ outageClass: its, stays: inParts(stays) })),
    ),
    seen: seen?.seen ?? {},
    // What was kept without its time may have been seen at any.
    seenAt: seen ? (seen.at ?? '') : null,
    past: pastDate(found, kitchen.today),
  };
}
