import type { CalendarDate } from '../../src/core/calendar/calendarDate';
import { keepingOn } from '../../src/core/keeping/judgeKeeping';
import type { Food } from '../../src/core/model/food';
import { Refusal } from '../../src/core/model/refusal';
import { type Habit, NO_DATES, toFreeze } from './habits';
import { dayOf, Fate, type Item, isFrozen, isOff, type Kind, KINDS, Larder, type Truth } from './larder';

/** What one year came to. */
export interface Year {
  bought: number;
  wasted: number;
  /** Meals at which somebody ate controlled food that was truly not safe any more. */
  unsafe: number;
  /** Meals with something only stale or tired in it. */
  tired: number;
  /** Grams that a meal wanted and nothing was there for. */
  short: number;
  minutes: number;
}

const START = '2026-01-03';
const DAYS = 365;
/** Grams a day that four people eat of each kind. */
const DAILY: Readonly<Record<Kind, number>> = {
  main: 600,
  side: 500,
  dairy: 400,
  fruit: 450,
  bread: 280,
  cold: 120,
};
/** A shop brings a little more than is eaten; who does not know what is there brings much more of it. */
const MARGIN = 1.05;
const SHOP_DAYS = 7;
const BULK_DAYS = 28;
const BULK_G = 4000;
const GUESTS = 0.05;
const AWAY = 0.1;
const LEFTOVER = 0.3;
/** Of what is not written down one sees so much when writing the list. */
const SEEN_AT_A_GLANCE = 0.6;
const LEFT_OUT = 0.02;
const CUTS_A_YEAR = 1.5;
const WARM_A_YEAR = 1;
const WARM_C = 8;
const FRIDGE_C = 4;
/** How likely one notices: by nose, that controlled food is off (most of it does not smell), and that something tired is tired. */
const NOSE = 0.5;
const EYES = 0.85;
/** A round sees that something begins to turn from here on. */
const TURNING = 0.8;
const SEES = 0.6;
const PACKS: Readonly<Record<Kind, number>> = {
  main: 500,
  side: 500,
  dairy: 500,
  fruit: 800,
  bread: 500,
  cold: 200,
};
const FOODS: Readonly<Record<Kind, readonly string[]>> = {
  main: ['ground-lamb', 'chicken-pieces', 'trout', 'venison', 'eggs-in-shell', 'tofu'],
  side: ['carrots', 'leeks', 'kale', 'broccoli', 'green-beans', 'peppers'],
  dairy: ['milk', 'yogurt', 'quark', 'hard-cheese', 'cream'],
  fruit: ['apples', 'pears', 'strawberries', 'plums', 'grapes'],
  bread: ['bread', 'rolls', 'tortillas'],
  cold: ['ham-sliced', 'hummus', 'lunch-meat'],
};

/** One year of one household with one habit; the same seed brings the same guests, cuts and warm doors to every habit. */
export function liveYear(habit: Habit, seed: number, truth: Truth, foods: ReadonlyMap<string, Food>): Year {
  const fate = new Fate(seed);
  const weather = new Fate(seed + 1_000_000);
  const larder = new Larder(truth, new Fate(seed + 2_000_000));
  const year: Year = { bought: 0, wasted: 0, unsafe: 0, tired: 0, short: 0, minutes: 0 };
  const known = (kind: Kind): Food[] => FOODS[kind].flatMap((id) => foods.get(id) ?? []);
  const spend = (seconds: number): void => void (year.minutes += seconds / 60);
  const waste = (item: Item): void => void (year.wasted += larder.take(item, item.grams));
  const happened = (item: Item, event: Item['history'][number], today: CalendarDate): boolean => {
    try {
      larder.happened(item, event, today);
      return true;
    } catch (error) {
      if (error instanceof Refusal) return false;
      throw error;
    }
  };
  const freeze = (item: Item, today: CalendarDate): void => {
    if (happened(item, { did: 'frozen', on: today }, today)) spend(habit.seconds.store);
  };
  const store = (kind: Kind, grams: number, today: CalendarDate, frozen = false): void => {
    const food = fate.of(known(kind));
    for (let left = grams; left > 50; left -= PACKS[kind]) {
      const item = larder.store(food, kind, Math.min(left, PACKS[kind]), today);
      item.written = fate.may(habit.written);
      year.bought += item.grams;
      spend(habit.seconds.store);
      if (frozen && food.freezeFit !== 'no') freeze(item, today);
    }
  };
  /** What of a kind is there as far as the cook knows when writing the list. */
  const counted = (kind: Kind): number =>
    larder.items
      .filter((item) => item.kind === kind && (item.written || fate.may(SEEN_AT_A_GLANCE)))
      .reduce((sum, { grams }) => sum + grams, 0);
  const shop = (today: CalendarDate, day: number): void => {
    for (const kind of KINDS) {
      const wanted = DAILY[kind] * SHOP_DAYS * MARGIN - counted(kind);
      const packs = Math.max(0, Math.ceil(wanted / PACKS[kind]));
      // Three kinds of food rather than one, as people shop.
      for (let nth = 0; nth < packs; nth++) store(kind, PACKS[kind], today);
    }
    if (day % BULK_DAYS === 0 && counted('main') < 2 * BULK_G) store('main', BULK_G, today, true);
  };
  const noticed = (item: Item): boolean => fate.may(item.food.controlled ? NOSE : EYES);
  const eat = (kind: Kind, wanted: number, today: CalendarDate): number => {
    let left = wanted;
    let [unsafe, tired] = [false, false];
    const order = fate.may(habit.obeys) ? habit.order : NO_DATES.order;
    const there = larder.items.filter((one) => one.kind === kind);
    for (const item of order(there, today)) {
      if (left < 1) break;
      spend(habit.seconds.take);
      if (isOff(item) && noticed(item)) {
        waste(item);
        continue;
      }
      if (isFrozen(item) && !happened(item, { did: 'thawed', on: today, method: 'fridge' }, today)) continue;
      const took = larder.take(item, left);
      left -= took;
      if (isOff(item) && took > 0) [unsafe, tired] = item.food.controlled ? [true, tired] : [unsafe, true];
      const open = item.keeping.openedOn === null && item.grams > 0;
      if (open) happened(item, { did: 'opened', on: today }, today);
    }
    if (unsafe) year.unsafe++;
    if (tired) year.tired++;
    year.short += left;
    return wanted - left;
  };
  /** What is past a safety date goes; the eyes of a round find what turns. */
  const lookThrough = (today: CalendarDate): void => {
    for (const item of [...larder.items]) {
      if (isFrozen(item)) continue;
      spend(habit.seconds.look);
      if (isOff(item) && noticed(item)) waste(item);
      else if (habit.dates && habit.looksEvery !== null && item.spent >= TURNING && fate.may(SEES))
        happened(item, { did: 'found-turning', on: today }, today);
    }
  };
  let warmFor = 0;
  let outage = 0;
  for (let day = 0; day < DAYS; day++) {
    const today = dayOf(START, day);
    if (weather.may(WARM_A_YEAR / DAYS)) warmFor = 30;
    if (weather.may(CUTS_A_YEAR / DAYS)) outage = weather.between(1, 30);
    const warm = warmFor > 30 - habit.noticesWarm;
    warmFor = Math.max(0, warmFor - 1);
    larder.age(warm ? WARM_C : FRIDGE_C);
    if (outage > 0) {
      larder.cut(outage, today);
      for (const item of [...larder.items])
        if (habit.judgesCuts && !isFrozen(item) && item.food.controlled && outage >= 4) waste(item);
      outage = 0;
    }
    if (day % SHOP_DAYS === 0) shop(today, day);
    if (day % (habit.looksEvery ?? 30) === 0) lookThrough(today);
    if (habit.dates)
      for (const item of [...larder.items])
        if (item.written && keepingOn(item.keeping, today).verdict === 'discard') waste(item);
    const guests = weather.may(GUESTS) ? 1.8 : 1;
    const away = weather.may(AWAY) ? 0.25 : 1;
    for (const kind of KINDS) {
      const ate = eat(kind, DAILY[kind] * guests * away, today);
      // Of what is cooked a part is left now and then: tomorrow's cold meal, with a clock of its own.
      const stew = foods.get('stew');
      if (kind === 'main' && ate > 300 && stew && fate.may(LEFTOVER)) {
        const item = larder.store(stew, 'main', ate * 0.3, today, true);
        item.written = fate.may(habit.written);
        spend(habit.seconds.store);
      }
    }
    if (weather.may(LEFT_OUT * 7)) {
      const item = larder.items.length > 0 ? fate.of(larder.items) : null;
      if (item && !isFrozen(item) && item.food.controlled && !fate.may(habit.remembersOut)) {
        item.spent += 1;
        // Who knows by the clock that it stood out over night throws it out.
        if (habit.judgesCuts) waste(item);
      }
    }
    for (const item of toFreeze(habit, larder.items, today)) if (fate.may(habit.obeys)) freeze(item, today);
    if (!habit.dates && fate.may(0.05)) {
      const meat = larder.items.find(
        (one) => one.kind === 'main' && !isFrozen(one) && one.food.freezeFit !== 'no',
      );
      if (meat) freeze(meat, today);
    }
  }
  return year;
}
