import { addDays, type CalendarDate, daysBetween } from '../calendar/calendarDate';
import { nextLook } from '../firstout/askOn';
import type { Looked, RoundRhythm } from '../model/round';
import type { PackageState } from '../model/history';
import type { ZoneKind } from '../model/drawing';

/** A package as far as its looks are due. */
export interface LookCase {
  state: PackageState;
  governingDate: CalendarDate;
  condemned: boolean;
  /** The day it came in; it was looked at then. */
  cameOn: CalendarDate;
  /** Days the food keeps in the refrigerator by the reference; `null`: nobody knows. */
  keepsDays: number | null;
  zoneKind: ZoneKind | null;
}

/** The longest a zone goes without eyes, days (our own figures, on the short side): drawers hide what wilts, a door little. */
const ZONE_DAYS: Partial<Record<ZoneKind, number>> = { drawer: 3, bin: 3, door: 14 };
const FRIDGE_DAYS = 7;
const FREEZER_DAYS = 60;

/**
 * The day a package wants a look: so many days after the last one, by the food and the kind of zone, or by the household's own
 * rhythm where it is shorter; what was found turning or is not where it should be at once; never later than its date.
 */
export function lookDue(
  found: LookCase,
  last: Pick<Looked, 'on' | 'finding' | 'missing'> | null,
  rhythm: RoundRhythm,
  today: CalendarDate,
): CalendarDate {
  const soon = (day: CalendarDate, other: CalendarDate): CalendarDate => (day <= other ? day : other);
  if (found.condemned || last?.missing || last?.finding === 'turning')
    return last === null ? today : soon(today, addDays(last.on, 1));
  const frozen = found.state === 'frozen';
  const since = last?.on ?? found.cameOn;
  const byZone = frozen ? FREEZER_DAYS : (ZONE_DAYS[found.zoneKind ?? 'shelf'] ?? FRIDGE_DAYS);
  const byFood =
    frozen || found.keepsDays !== null
      ? daysBetween(since, nextLook({ ...found, answer: null }, since, found.keepsDays))
      : byZone;
  const own = frozen ? rhythm.freezer : rhythm.fridge;
  const due = addDays(since, own ?? Math.min(byFood, byZone));
  return found.governingDate > since ? soon(due, found.governingDate) : due;
}
