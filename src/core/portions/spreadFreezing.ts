/** Public advice: 2 lb per cubic foot a day, the cautious end; 3 lb with a fast-freeze switch on (THERMAL 5). g per litre. */
export const FREEZE_IN_G_PER_L = 32;
export const FAST_FREEZE_G_PER_L = 48;

/** A pack that wants to be frozen. */
export interface FreezingPack {
  id: string;
  name: string;
  grams: number;
  /** Days until its use by; `null`: a matter of quality only. */
  daysLeft: number | null;
  /** `null`: not a slab; counts as thick. */
  thicknessMm: number | null;
}

/** What goes into the freezer on a day, counted from today = 1. */
export interface FreezingDay {
  day: number;
  ids: string[];
  grams: number;
}

export interface FreezingSpread {
  days: FreezingDay[];
  warnings: { id: string; says: string }[];
}

/** What spoils quickest first: safety before quality, fewest days left, then thin before thick. */
function byUrgency(a: FreezingPack, b: FreezingPack): number {
  return (
    (a.daysLeft ?? Infinity) - (b.daysLeft ?? Infinity) ||
    (a.thicknessMm ?? Infinity) - (b.thicknessMm ?? Infinity) ||
    a.grams - b.grams
  );
}

/**
 * Spreads packs over days so that no day takes more than the limit (THERMAL 5): quickest spoiling first, thin before thick,
 * whole packs, each on the first day with room for it. A pack larger than the limit has a day of its own, with a warning; one
 * whose use by would fall before its day is named.
 *
 * @param limitG grams a day, more than 0
 * @param usedTodayG grams that went in today already
 */
export function spreadFreezing(
  packs: readonly FreezingPack[],
  limitG: number,
  usedTodayG = 0,
): FreezingSpread {
  const taken: { ids: string[]; grams: number; before: number; closed: boolean }[] = [
    { ids: [], grams: 0, before: usedTodayG, closed: false },
  ];
  const warnings: FreezingSpread['warnings'] = [];
  for (const pack of [...packs].sort(byUrgency)) {
    const oversize = pack.grams > limitG;
    let at = taken.findIndex(({ grams, before, closed }) =>
      oversize ? grams + before === 0 : !closed && grams + before + pack.grams <= limitG,
    );
    if (at < 0) at = taken.push({ ids: [], grams: 0, before: 0, closed: false }) - 1;
    const day = taken[at];
    if (!day) continue;
    day.ids.push(pack.id);
    day.grams += pack.grams;
    day.closed = oversize;
    if (oversize) {
      warnings.push({
        id: pack.id,
        says: `${pack.name}: ${pack.grams} g is more than the ${Math.floor(limitG)} g this freezer takes in a day; make smaller packs.`,
      });
    }
    if (pack.daysLeft !== null && pack.daysLeft < at) {
      warnings.push({
        id: pack.id,
        says: `${pack.name} would wait ${at} ${at === 1 ? 'day' : 'days'} for its turn, past its use by: cook it, or freeze it elsewhere.`,
      });
    }
  }
  const days = taken.map(({ ids, grams }, at) => ({ day: at + 1, ids, grams }));
  return { days: days.filter(({ ids }) => ids.length > 0), warnings };
}
