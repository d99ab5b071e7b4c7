import { later } from '../calendar/calendarDate';
import type { Food } from '../foods/food';
import {
  type Caution,
  type HistoryEvent,
  type KeepingConditions,
  USUAL_CONDITIONS,
} from '../keeping/history';
import { minutesBetween } from '../keeping/counterMinutes';
import { judgeKeeping } from '../keeping/judgeKeeping';
import { chilledRate, frozenRate } from '../keeping/spoilageRate';
import { datingThawHours } from '../thermal/packageThawHours';
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

/** What dating a package needs to know of the world. */
export type JudgingWorld = Pick<World, 'today' | 'at' | 'food' | 'caution'>;

/**
 * What besides its history bears on a package's dates: the one place where it is put together, for real events and for
 * what might be.
 *
 * @param toThaw the case to be judged thaws it, though its history does not yet
 */
export function conditionsOf(
  { printed, wrap, blanched, history, ...pack }: UndatedPackage,
  food: Food,
  caution: Caution,
  toThaw = false,
): KeepingConditions {
  const thaws = toThaw || history.some(({ did }) => did === 'thawing');
  return {
    ...USUAL_CONDITIONS,
    printed,
    wrap: wrap ?? USUAL_CONDITIONS.wrap,
    blanched,
    caution,
    thawHours: thaws ? datingThawHours(pack, food) : null,
  };
}

/**
 * Tells the package's history again and puts the dates on it: the one place where dates are made.
 *
 * @throws Refusal when the history cannot be
 */
export function judgePackage(undated: UndatedPackage, world: JudgingWorld): Package {
  const food = world.food(undated.foodId);
  // A clock set back never makes what was recorded impossible.
  const today = later(world.today, undated.history.at(-1)?.on ?? world.today);
  const keeping = judgeKeeping(food, undated.history, today, conditionsOf(undated, food, world.caution));
  const { governing, ...dates } = keeping;
  return { ...undated, ...dates, governingDate: governing.date, governingKind: governing.kind };
}

/**
 * The package with more events, dated anew, one version on. An event never goes before the last one recorded, even
 * when the clock of the machine was set back.
 */
export function withEvents(
  before: Package,
  events: readonly HistoryEvent[],
  world: JudgingWorld,
  changes: Partial<UndatedPackage> = {},
): Package {
  const last = before.history.at(-1)?.on ?? world.today;
  const told = events.map((event) => ({ ...event, on: later(event.on, last) }));
  return judgePackage(
    { ...before, history: [...before.history, ...told], ...changes, version: before.version + 1 },
    world,
  );
}

/** The K9 event for coming into a zone whose temperature changes how fast the clocks run; none when it does not. */
export function warmthOf(zone: Zone, celsius: number, world: Pick<World, 'today'>): HistoryEvent[] {
  const rateAt = zone.cold === 'freezer' ? frozenRate : chilledRate;
  return rateAt(zone.temperatureC) === rateAt(celsius)
    ? []
    : [{ did: 'moved', on: world.today, c: zone.temperatureC }];
}

/** The K10 event for the minutes a package has just stood on the counter; none for less than a minute. */
export function counterOf(
  before: Package,
  world: Pick<World, 'today' | 'at'> & { hot?: boolean },
): HistoryEvent[] {
  if (before.counterSince === null) return [];
  const minutes = minutesBetween(before.counterSince, world.at);
  if (minutes < 1) return [];
  return [{ did: 'counter', on: world.today, minutes, ...(world.hot ? { hot: true } : {}) }];
}
