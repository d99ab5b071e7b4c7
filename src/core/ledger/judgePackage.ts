import { type HistoryEvent, USUAL_CONDITIONS } from '../keeping/history';
import { minutesBetween } from '../keeping/counterMinutes';
import { judgeKeeping } from '../keeping/judgeKeeping';
import { chilledRate, frozenRate } from '../keeping/spoilageRate';
import type { Package, Zone } from './package';
import type { World } from './world';

/** What a package is before its dates are known. */
export type UndatedPackage = Omit<
  Package,
  | 'state'
  | 'startOn'
  | 'openedOn'
  | 'useBy'
  | 'bestBy'
  | 'governingDate'
  | 'governingKind'
  | 'condemned'
  | 'celsius'
  | 'counterMinutes'
  | 'trail'
>;

/**
 * Tells the package's history again and puts the dates on it: the one place where dates are made.
 *
 * @throws Refusal when the history cannot be
 */
export function judgePackage(undated: UndatedPackage, world: World): Package {
  const food = world.food(undated.foodId);
  const keeping = judgeKeeping(food, undated.history, world.today, {
    ...USUAL_CONDITIONS,
    printed: undated.printed,
    wrap: undated.wrap ?? USUAL_CONDITIONS.wrap,
    blanched: undated.blanched,
    caution: world.caution,
  });
  const { governing, ...dates } = keeping;
  return { ...undated, ...dates, governingDate: governing.date, governingKind: governing.kind };
}

/** The package with one more event, dated anew, one version on. */
export function withEvents(
  before: Package,
  events: readonly HistoryEvent[],
  world: World,
  changes: Partial<UndatedPackage> = {},
): Package {
  return judgePackage(
    { ...before, history: [...before.history, ...events], ...changes, version: before.version + 1 },
    world,
  );
}

/** The K9 event for coming into a zone whose temperature changes how fast the clocks run; none when it does not. */
export function warmthOf(zone: Zone, celsius: number, world: World): HistoryEvent[] {
  const rateAt = zone.cold === 'freezer' ? frozenRate : chilledRate;
  return rateAt(zone.temperatureC) === rateAt(celsius)
    ? []
    : [{ did: 'moved', on: world.today, c: zone.temperatureC }];
}

/** The K10 event for the minutes a package has just stood on the counter; none for less than a minute. */
export function counterOf(before: Package, world: World): HistoryEvent[] {
  if (before.counterSince === null) return [];
  const minutes = minutesBetween(before.counterSince, world.at);
  return minutes < 1 ? [] : [{ did: 'counter', on: world.today, minutes }];
}
