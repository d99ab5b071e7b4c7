import { SAFE_CHILL_C } from '../../model/limits';
import { later, type CalendarDate } from '../../calendar/calendarDate';
import { USUAL_CONDITIONS, type HistoryEvent } from '../../model/history';
import { minutesBetween } from '../../keeping/counterMinutes';
import { judgeKeeping } from '../../keeping/judgeKeeping';
import { chilledRate, frozenRate } from '../../keeping/spoilageRate';
import type { Package, Zone } from '../../model/package';
import type { World } from '../../model/world';
import type { UndatedPackage } from '../../model/undated';
import { conditionsOf } from './conditionsOf';

/** What dating a package needs to know of the world. */
export type JudgingWorld = Pick<World, 'today' | 'at' | 'now' | 'nowOn' | 'food' | 'caution'>;

/**
 * Tells the package's history again and puts the dates on it: the one place where dates are made.
 *
 * @param recorded how many of its events were accepted when they happened
 * @throws Refusal when the history cannot be
 */
export function judgePackage(
  undated: UndatedPackage,
  world: Pick<JudgingWorld, 'today' | 'food' | 'caution'>,
  recorded = 0,
): Package {
  const food = world.food(undated.foodId);
  // A clock set back never makes what was recorded impossible; what is new is never of a day to come.
  const last = recorded > 0 ? undated.history.at(-1)?.on : undefined;
  const today = later(world.today, last ?? world.today);
  const conditions = { ...conditionsOf(undated, food, world.caution), recorded };
  const keeping = judgeKeeping(food, undated.history, today, conditions);
  const { governing, daysRemembered: _days, thawedBy: _by, endsOn: _ends, controlled, ...dates } = keeping;
  return {
    ...undated,
    ...dates,
    // Only where its food alone does not say so.
    ...(controlled && !food.controlled ? { spoils: true } : {}),
    governingDate: governing.date,
    governingKind: governing.kind,
  };
}

/** What a package brings into another it is put together with (K11): its dates, minutes, and the days it would have once thawed. */
export function joiningOf(
  found: Package,
  world: Pick<JudgingWorld, 'today' | 'food' | 'caution'>,
): Extract<HistoryEvent, { did: 'joined' }> {
  const food = world.food(found.foodId);
  const last = found.history.at(-1)?.on ?? world.today;
  const { daysRemembered, controlled, thawedBy, endsOn } = judgeKeeping(
    food,
    found.history,
    later(world.today, last),
    {
      ...conditionsOf(found, food, world.caution),
      recorded: found.history.length,
    },
  );
  const { startOn, useBy, bestBy, counterMinutes } = found;
  return {
    did: 'joined',
    on: world.today,
    startOn,
    useBy,
    bestBy,
    minutes: counterMinutes,
    days: daysRemembered,
    ...(controlled ? { controlled, thawDays: food.thawedDays ?? 1 } : {}),
    ...(thawedBy === null ? {} : { thawed: thawedBy }),
    ...(endsOn === null ? {} : { ends: endsOn }),
  };
}

/** True when clocks run alike in both temperatures, °C. */
function runAlike(cold: Zone['cold'], a: number, b: number): boolean {
  if (cold === 'fridge') return chilledRate(a) === chilledRate(b);
  return frozenRate(a) === frozenRate(b) && a > SAFE_CHILL_C === b > SAFE_CHILL_C;
}

/** The K9 event for coming into a zone whose temperature changes how fast the clocks run; none when it does not. */
export function warmthOf(
  zone: Pick<Zone, 'cold' | 'temperatureC'>,
  celsius: number,
  on: CalendarDate,
): HistoryEvent[] {
  return runAlike(zone.cold, zone.temperatureC, celsius) ? [] : [{ did: 'moved', on, c: zone.temperatureC }];
}

/** What a freezing or thawing event tells of the zone it goes into: its °C where that counts (K9). */
export function coldOf(zone: Pick<Zone, 'cold' | 'temperatureC'>): { c?: number } {
  const usual = zone.cold === 'freezer' ? USUAL_CONDITIONS.freezerC : USUAL_CONDITIONS.fridgeC;
  return runAlike(zone.cold, zone.temperatureC, usual) ? {} : { c: zone.temperatureC };
}

/** The K10 event for the minutes a package has just stood on the counter; none for less than a minute. */
export function counterOf(
  before: Package,
  world: Pick<World, 'today' | 'at' | 'now'> & { hot?: boolean },
): HistoryEvent[] {
  if (before.counterSince === null) return [];
  // Dated before it was put out: that cannot be, so what is known counts, until now.
  const until = world.at < before.counterSince ? world.now : world.at;
  const minutes = minutesBetween(before.counterSince, until);
  if (minutes < 1) return [];
  return [{ did: 'counter', on: world.today, minutes, ...(world.hot ? { hot: true } : {}) }];
}
