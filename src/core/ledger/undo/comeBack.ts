import { daysBetween, later } from '../../calendar/calendarDate';
import { sayPlainDate } from '../../calendar/sayDate';
import { minutesBetween, MOST_STOOD_MINUTES } from '../../keeping/counterMinutes';
import type { HistoryEvent } from '../../model/history';
import { Refusal } from '../../model/refusal';
import { counterOf, judgePackage, warmthOf } from '../package/judgePackage';
import type { Package } from '../../model/package';
import type { World } from '../../model/world';
import type { Meanwhile } from '../../model/decision';

/** A slip taken back at once is not asked about; its minutes count. */
const UNASKED_MINUTES = 2;

type Stay = Extract<HistoryEvent, { did: 'counter' }>;

/**
 * Stays out of the cold that the present package knows of and the earlier one does not. What was not hard frozen then has no
 * grace, though it comes back frozen: minutes never fall.
 */
function staysSince(before: Package, now: Package, world: World): Stay[] {
  const since = now.history.slice(before.history.length).filter(({ did }) => did === 'counter');
  const stays = [...since, ...counterOf(now, world)] as Stay[];
  if (before.state !== 'frozen' || now.state === 'frozen') return stays;
  return stays.map((stay) => ({ ...stay, soft: true }));
}

function askIfItMatters(before: Package, minutes: number, world: World): void {
  if (minutes <= UNASKED_MINUTES || !world.food(before.foodId).controlled) return;
  throw new Refusal(
    'meanwhile',
    `Did ${before.called} ${before.code} really stand out of the cold for ${minutes} minutes? They count, unless the entry was wrong.`,
  );
}

function dated(image: Package, world: World): Package {
  try {
    return judgePackage(image, world, image.history.length);
  } catch (error) {
    if (error instanceof Refusal) return image;
    throw error;
  }
}

/**
 * What left on another day was nobody knows where since: that it never left is said twice, else it counts as out of the cold for all of
 * that time (L4).
 *
 * @throws Refusal `meanwhile` or `never-left`
 */
function daysAway(before: Package, now: Package, world: World, meanwhile: Meanwhile): Stay[] {
  const days = now.gone === null ? 0 : daysBetween(now.gone.on, world.today);
  if (days < 1 || meanwhile === 'never' || !world.food(before.foodId).controlled) return [];
  const name = `${before.called} ${before.code}`;
  const left = sayPlainDate(now.gone?.on ?? world.today);
  if (meanwhile === 'ask')
    throw new Refusal(
      'meanwhile',
      `${name} left on ${left}: nobody knows where it was since. Did it never leave?`,
    );
  if (meanwhile === 'cold')
    throw new Refusal(
      'never-left',
      `${name} left on ${left}, as it was told. Did it truly lie in the cold all the while?`,
    );
  return [
    { did: 'counter', on: world.today, minutes: Math.min(MOST_STOOD_MINUTES, days * 24 * 60), soft: true },
  ];
}

/** The temperatures its zone had meanwhile, each from the day it was read, and the one it has now. */
function warmedMeanwhile(image: Package, world: World): Package {
  const zone = world.zone(image.zoneId ?? '');
  const readings = world.readings(zone.id).map(({ celsius, at }) => ({ celsius, on: world.dayOf(at) }));
  let back = image;
  for (const { celsius, on } of [...readings, { celsius: zone.temperatureC, on: world.today }]) {
    const last = back.history.at(-1)?.on ?? on;
    const warmth = warmthOf({ ...zone, temperatureC: celsius }, back.celsius, later(last, on));
    if (warmth.length > 0) back = dated({ ...back, history: [...back.history, ...warmth] }, world);
  }
  return back;
}

/**
 * A package as it comes back when what happened to it is undone: its earlier image, judged anew by today's caution, wishes,
 * figures and the temperature of its zone. Minutes out of the cold stay, unless the entry itself was wrong.
 *
 * @param before as it was, @param now as it is
 * @param world as it will be once the settings of the command are undone too
 * @throws Refusal `meanwhile` when it shall be asked where it was, and that matters
 */
export function comeBack(before: Package, now: Package, world: World, meanwhile: Meanwhile): Package {
  const version = now.version + 1;
  if (before.gone) return { ...before, version };
  const away = daysAway(before, now, world, meanwhile);
  const stays = [...staysSince(before, now, world), ...away];
  const outBefore = before.counterSince !== null;
  if (meanwhile === 'ask') {
    const since =
      outBefore && now.zoneId !== null ? minutesBetween(before.counterSince ?? world.at, world.at) : 0;
    askIfItMatters(before, outBefore ? since : stays.reduce((sum, { minutes }) => sum + minutes, 0), world);
  }
  const wrong = meanwhile === 'cold' || meanwhile === 'never';
  // On the counter before: it stands there since then, or lay in the cold meanwhile and stands there again from now.
  const again = outBefore && wrong && now.zoneId !== null;
  const counted = again || (!outBefore && !wrong) ? stays : [];
  const counterSince = again ? world.at : before.counterSince;
  const judged = dated({ ...before, counterSince, version }, world);
  const lies = judged.zoneId !== null && world.hasZone(judged.zoneId);
  const image = lies ? warmedMeanwhile(judged, world) : judged;
  const last = image.history.at(-1)?.on ?? world.today;
  const told = counted.map((stay) => ({ ...stay, on: later(stay.on, last) }));
  return told.length === 0 ? image : dated({ ...image, history: [...image.history, ...told] }, world);
}
