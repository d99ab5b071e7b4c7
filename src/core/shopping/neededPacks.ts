import { addDays, type CalendarDate } from '../calendar/calendarDate';
import type { Level, PackSize } from '../model/kept';
import { type MayEat, mayOffer } from '../keeping/mayEat';
import type { StockRow } from '../stock/stockRow';

/** What left by being eaten, from the ledger. */
export interface Eaten {
  amount: number;
  unit: PackSize['unit'];
}

/** How a food stands against its level. */
export interface Standing {
  /** What one pack is; `null`: nobody knows, so labels are counted. */
  size: PackSize | null;
  /** Packs by their labels, all that are here. */
  here: number;
  /** Packs' worth that thaws: on its way to a plate. */
  thawing: number;
  /** Packs' worth that is kept for somebody. */
  promised: number;
  /** Packs' worth that will be past before its turn comes, at the pace it is eaten. */
  passing: number;
  /** Packs' worth that counts. */
  free: number;
  /** Packs' worth eaten a week. */
  perWeek: number;
  /** Packs to buy now so that the level holds until the next time. */
  need: number;
  /** When the oldest began; `null`: there is none. */
  oldestOn: CalendarDate | null;
}

/** The commonest size of some packs. */
function usualSize(packs: readonly PackSize[]): PackSize | null {
  const counts = new Map<string, { size: PackSize; count: number }>();
  for (const { amount, unit } of packs) {
    const key = `${amount} ${unit}`;
    counts.set(key, { size: { amount, unit }, count: (counts.get(key)?.count ?? 0) + 1 });
  }
  const [best] = [...counts.values()].sort((a, b) => b.count - a.count);
  return best?.size ?? null;
}

/** As sure as can be reasonably had that eating stays below: the mean and 1.65 standard deviations of a Poisson count. */
const SURELY = 1.65;
/** A count is whole: what floating point adds is none. */
const SLACK = 1e-9;

/**
 * Works out how a food stands against its level, and how many packs to buy now. What thaws, what is promised, and what will be past
 * before its turn comes does not count; what will be eaten until the next time is bought besides, and for what must never run out as
 * much as surely holds.
 *
 * @param rows packages of the food that are here, in first-out order
 * @param eaten what was eaten of it in the last `days` days
 * @param everyDays days until the list is gone through again
 * @param keepsDays days a new pack keeps; more than is eaten in them is not bought. `null`: long
 */
export function neededPacks(
  rows: readonly StockRow[],
  level: Level,
  eaten: readonly Eaten[],
  {
    today,
    days,
    everyDays,
    keepsDays,
    mayEat,
  }: { today: CalendarDate; days: number; everyDays: number; keepsDays: number | null; mayEat: MayEat },
): Standing {
  const size = level.size ?? usualSize([...rows, ...eaten]);
  // What is measured otherwise than the pack counts as one pack by its label.
  const worth = ({ amount, unit }: PackSize): number =>
    size && unit === size.unit ? amount / size.amount : 1;
  const sum = (packs: readonly PackSize[]): number => packs.reduce((all, pack) => all + worth(pack), 0);
  const aDay = sum(eaten) / Math.max(1, days);
  const sound = rows.filter((row) => mayOffer(mayEat(row)));
  const thawing = sound.filter(({ state }) => state === 'thawing');
  const promised = sound.filter(
    ({ state, whose, handsOff }) => state !== 'thawing' && (whose !== '' || handsOff),
  );
  let before = 0;
  const passing: StockRow[] = [];
  const free: StockRow[] = [];
  for (const row of sound) {
    if (thawing.includes(row) || promised.includes(row)) continue;
    // Its turn comes when all before it are eaten; what nobody eats has no turn, and passes when its date does.
    const turn = aDay > 0 ? addDays(today, Math.min(3650, Math.floor(before / aDay))) : today;
    if (row.governingDate < turn) passing.push(row);
    else {
      free.push(row);
      before += worth(row);
    }
  }
  const counts = sum(free);
  const until = aDay * everyDays;
  const held =
    level.kind === 'never-out' ? level.packs + until + SURELY * Math.sqrt(until) : level.packs + until;
  const lacks = level.kind === 'on-offer' ? 0 : Math.max(0, Math.ceil(held - counts - SLACK));
  // Never more than can be eaten while it is good; but what must never run out is there.
  const most =
    keepsDays === null ? Infinity : Math.max(level.kind === 'never-out' ? 1 : 0, Math.ceil(aDay * keepsDays));
  const kept =
    keepsDays !== null && aDay === 0
      ? Math.max(0, Math.ceil(level.packs - counts - SLACK))
      : Math.min(lacks, most);
  return {
    size,
    here: rows.length,
    thawing: sum(thawing),
    promised: sum(promised),
    passing: sum(passing),
    free: counts,
    perWeek: aDay * 7,
    need: level.kind === 'on-offer' ? 0 : kept,
    oldestOn: rows.reduce<CalendarDate | null>(
      (least, { startOn }) => (least === null || startOn < least ? startOn : least),
      null,
    ),
  };
}
