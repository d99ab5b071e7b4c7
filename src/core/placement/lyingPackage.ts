import type { CalendarDate } from '../calendar/calendarDate';
import { hardFault, type PlacingRefusal } from './hardRules';
import { mayDrip } from './neighbours';
import { isExposed, isRaw, type PlacedFood, type PlacingPackage, type PlacingZone } from './placing';
import { type Score, softScore } from './softScore';

/** A zone of the household's kitchen, as check and tidy see it. */
export interface KitchenZone extends PlacingZone {
  name: string;
  applianceName: string;
  compartment: string;
  cold: 'fridge' | 'freezer';
  side: 'body' | 'door';
  keptEmpty: boolean;
  hardToReach: boolean;
  limitLitres: number | null;
  /** What lies in it takes up so many litres. */
  filledLitres: number;
  /** Zones in front of it. */
  behind: number;
  /** When something last came in or went out; `null`: never. */
  touchedOn: CalendarDate | null;
}

/** Packages of one food that lie alike in one zone. */
export interface LyingPackage extends PlacingPackage {
  zone: string;
  called: string;
  opened: boolean;
  /** When it came, for which of two is the older. */
  startOn: CalendarDate;
  /** Whose it is, when the zone is somebody's. */
  codes: readonly string[];
}

/** How many things are in the way before one has a hand on it. */
export const reachOf = (zone: KitchenZone): number => zone.lifts + zone.behind + (zone.hardToReach ? 1 : 0);

const without = (contents: readonly LyingPackage[], id: string): PlacedFood[] =>
  contents.filter((other) => other.id !== id);

/** True when raw juice could reach what must not have it, were the package in that zone (P3). */
export function wouldDrip(
  found: LyingPackage,
  there: PlacingZone,
  zones: readonly PlacingZone[],
  contents: readonly LyingPackage[],
): LyingPackage | null {
  if (!isRaw(found.food) && !isExposed(found)) return null;
  return (
    contents.find((other) => {
      if (other.id === found.id) return false;
      const zone = zones.find((one) => one.id === other.zone);
      if (!zone) return false;
      return (
        (isRaw(found.food) && isExposed(other) && mayDrip(there, zone)) ||
        (isExposed(found) && isRaw(other.food) && mayDrip(zone, there))
      );
    }) ?? null
  );
}

/** Short dates do not go where one hardly sees them, nor anything where a place is kept free. */
function unfit(found: LyingPackage, zone: KitchenZone): boolean {
  const soon = found.state === 'frozen' ? SOON_FROZEN_DAYS : SOON_DAYS;
  return zone.keptEmpty || (zone.hardToReach && found.daysLeft !== null && found.daysLeft <= soon);
}

export const SOON_DAYS = 3;
export const SOON_FROZEN_DAYS = 30;

/** What speaks hard against a package where it lies; `null`: nothing. */
export function faultThere(
  found: LyingPackage,
  zone: KitchenZone,
  zones: readonly KitchenZone[],
  contents: readonly LyingPackage[],
): PlacingRefusal | null {
  // It lies there, so it has room; only a new place must have it.
  // What lies on somebody's shelf is taken for theirs.
  const fault = hardFault({ ...found, litres: 0, rigidMm: null }, { ...zone, person: '' });
  if (fault) return fault;
  // What lies there frozen hard does not drip; a new place for it is held to the rule all the same.
  const other = found.state === 'frozen' ? null : wouldDrip(found, zone, zones, contents);
  if (!other) return null;
  const says = isRaw(found.food)
    ? `Its juice could reach ${other.called}.`
    : `The juice of ${other.called} could reach it.`;
  return { rule: 'P3', says };
}

/** A better place for a package. */
export interface BetterPlace {
  zone: KitchenZone;
  score: Score;
}

/** The best place a package may go to, other than where it lies; `null`: there is none. */
export function bestPlace(
  found: LyingPackage,
  zones: readonly KitchenZone[],
  contents: readonly LyingPackage[],
): BetterPlace | null {
  const others = without(contents, found.id);
  let best: BetterPlace | null = null;
  for (const zone of zones) {
    if (zone.id === found.zone || unfit(found, zone) || hardFault(found, zone)) continue;
    if (wouldDrip(found, zone, zones, contents)) continue;
    const score = softScore(found, zone, zones, others);
    if (best === null || score.points > best.score.points) best = { zone, score };
  }
  return best;
}

/** How good it is where it lies now, hard faults counted as worse than anything soft. */
export function scoreThere(
  found: LyingPackage,
  zones: readonly KitchenZone[],
  contents: readonly LyingPackage[],
): { points: number; fault: PlacingRefusal | null } {
  const zone = zones.find(({ id }) => id === found.zone);
  if (!zone) return { points: 0, fault: null };
  const fault = faultThere(found, zone, zones, contents);
  const soft = softScore(found, zone, zones, without(contents, found.id)).points;
  return { points: soft - (fault ? HARD_POINTS : 0) - (unfit(found, zone) ? UNFIT_POINTS : 0), fault };
}

const HARD_POINTS = 100;
const UNFIT_POINTS = 25;
