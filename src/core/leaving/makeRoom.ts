/** Something that could be done to make room, and how much it gains. */
export interface RoomDeed {
  package: string;
  deed: 'bin' | 'out' | 'repack' | 'eat';
  /** What it gains, l. */
  litres: number;
  /** Days until its date: what is eaten soon goes first. */
  daysLeft: number;
}

/** A plan, and how far it gets. */
export interface RoomPlan {
  deeds: RoomDeed[];
  litres: number;
  /** What is still missing, l; 0: it is enough. */
  short: number;
}

/** What costs least is done first: what must go anyway, what needs no cold, what only wants a smaller box, what is eaten soon. */
const ORDER: readonly RoomDeed['deed'][] = ['bin', 'out', 'repack', 'eat'];
/** Less than this nobody repacks for, l. */
const LEAST_LITRES = 0.1;

/**
 * Which deeds make so many litres: by what they cost, then what is due soonest, then the largest; of the last kind no more than are needed,
 * and what turns out not to be needed is left out again.
 */
export function makeRoom(deeds: readonly RoomDeed[], wanted: number): RoomPlan {
  const sorted = deeds
    .filter(({ litres }) => litres >= LEAST_LITRES)
    .sort(
      (a, b) =>
        ORDER.indexOf(a.deed) - ORDER.indexOf(b.deed) || a.daysLeft - b.daysLeft || b.litres - a.litres,
    );
  const taken: RoomDeed[] = [];
  let litres = 0;
  for (const one of sorted) {
    if (litres >= wanted) break;
    if (taken.some((other) => other.package === one.package)) continue;
    taken.push(one);
    litres += one.litres;
  }
  // The dearest that is not needed after all goes first.
  for (const one of [...taken].reverse())
    if (litres - one.litres >= wanted) {
      taken.splice(taken.indexOf(one), 1);
      litres -= one.litres;
    }
  return { deeds: taken, litres, short: Math.max(0, wanted - litres) };
}
