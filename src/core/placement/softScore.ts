import type { Food } from '../model/food';
import {
  isExposed,
  isFreezerZone,
  isRaw,
  type PlacedFood,
  type PlacingPackage,
  type PlacingZone,
} from './placing';

/** Points of a placing and the reasons for them. */
export interface Score {
  points: number;
  reasons: string[];
}

/** Weights of the soft rules; our own judgement, in points. */
const POINTS = {
  home: 30,
  purpose: 18,
  wrongPurpose: -8,
  humidity: 12,
  ethylene: -25,
  sameFood: 10,
  sameGroup: 5,
  inSight: 8,
  lift: -4,
  low: 1,
  room: 3,
  warmFreezer: -2,
  air: -6,
  rawShelf: -45,
  doorRack: -15,
} as const;
/** Why a food's best home suits it. */
const HOME_WORDS: Readonly<Record<Food['home'], string>> = {
  'fridge-upper': 'it keeps well on an upper shelf',
  'fridge-middle': 'it keeps well on a middle shelf',
  'fridge-lower-back': 'it is coldest low and at the back',
  door: 'it belongs in the door',
  'crisper-high': 'it keeps well in a closed drawer',
  'crisper-low': 'it keeps well in an airy drawer',
  freezer: 'it belongs in a freezer',
  counter: '',
  cupboard: '',
};
const SOON_DAYS = 3;
/** A freezer is kept at this or colder, °C. */
const FREEZER_KEPT_C = -18;
const HEAVY_LITRES = 2;
/** Of a fridge zone's litres that stay free for air. */
const AIR_SHARE = 0.2;

/** Where a zone stands in its appliance: 0 at the top, 1 at the bottom. */
function depthOf(zone: PlacingZone, zones: readonly PlacingZone[]): number {
  const orders = zones.filter(({ appliance }) => appliance === zone.appliance).map(({ order }) => order);
  const [top, bottom] = [Math.min(...orders), Math.max(...orders)];
  return bottom === top ? 0.5 : (zone.order - top) / (bottom - top);
}

/** The lowest of several shelves: raw food has no other place, so what its juice must not reach stays off it. */
function isRawShelf(zone: PlacingZone, zones: readonly PlacingZone[]): boolean {
  if (zone.kind !== 'shelf' || isFreezerZone(zone)) return false;
  const shelves = zones.filter(
    ({ appliance, compartment, kind }) =>
      kind === 'shelf' && appliance === zone.appliance && compartment === zone.compartment,
  );
  return shelves.length > 1 && shelves.every(({ order }) => order <= zone.order);
}

function isHome({ home }: Food, zone: PlacingZone, depth: number): boolean {
  const shelf = zone.kind === 'shelf' || zone.kind === 'bin' || zone.kind === 'tray';
  switch (home) {
    case 'fridge-upper':
      return shelf && depth <= 0.4;
    case 'fridge-middle':
      return shelf && depth >= 0.2 && depth <= 0.7;
    case 'fridge-lower-back':
      return shelf && depth >= 0.4;
    case 'door':
      return zone.kind === 'door';
    case 'crisper-high':
      return zone.kind === 'drawer' && zone.humidity !== 'low';
    case 'crisper-low':
      return zone.kind === 'drawer' && zone.humidity !== 'high';
    case 'freezer':
      return isFreezerZone(zone);
    case 'counter':
    case 'cupboard':
      return false;
  }
}

/** True when one of two foods gives the ethylene that ripens the other. */
export const clash = (a: Food, b: Food): boolean =>
  (['giver', 'both'].includes(a.ethylene) && ['taker', 'both'].includes(b.ethylene)) ||
  (['giver', 'both'].includes(b.ethylene) && ['taker', 'both'].includes(a.ethylene));

/** Words of a zone's purpose, and the groups of food they mean. */
const PURPOSE_GROUPS: readonly (readonly [word: RegExp, groups: readonly string[]])[] = [
  [/leftover|dinner|lunch/, ['leftovers', 'soup-sauce', 'ready-meal', 'cooked-meat', 'grain-legume']],
  [/dairy|milk/, ['dairy', 'cheese']],
  [/butter/, ['fat']],
  [/egg/, ['egg']],
  [/fish/, ['raw-fish', 'shellfish']],
  [/meat/, ['raw-meat', 'raw-poultry', 'cooked-meat', 'deli']],
  [/fruit|smoothie/, ['fruit']],
  [/lea[fv]|green|salad|vegetable/, ['vegetable', 'herb']],
  [/bread|bake/, ['bread-bake', 'dough']],
  [/sauce|jar|condiment/, ['condiment', 'soup-sauce']],
  [/bottle|drink/, ['drink']],
  [/pet/, ['pet']],
];

function meetsPurpose({ food, daysLeft }: PlacingPackage, wanted: string): boolean {
  if (/use.?up|eat first/.test(wanted) && daysLeft !== null && daysLeft <= SOON_DAYS) return true;
  if (/\braw\b/.test(wanted) && isRaw(food)) return true;
  return (
    wanted.includes(food.group) ||
    PURPOSE_GROUPS.some(([word, groups]) => word.test(wanted) && groups.includes(food.group))
  );
}

/** A purpose that is about food at all; "backups" or "taken every week" suits anything. */
const isAboutFood = (wanted: string): boolean =>
  /use.?up|\braw\b/.test(wanted) || PURPOSE_GROUPS.some(([word]) => word.test(wanted));

function purposePoints(found: PlacingPackage, { purpose }: PlacingZone): [number, string] {
  const wanted = purpose.trim().toLowerCase();
  if (meetsPurpose(found, wanted)) return [POINTS.purpose, `the zone is for ${purpose}`];
  return isAboutFood(wanted) ? [POINTS.wrongPurpose, ''] : [0, ''];
}

/** How well a package lies in a zone (RULES 4, the soft rules), with a reason for every point of weight. */
export function softScore(
  found: PlacingPackage,
  zone: PlacingZone,
  zones: readonly PlacingZone[],
  contents: readonly PlacedFood[],
): Score {
  const { food } = found;
  const reasons: string[] = [];
  let points = 0;
  const add = (more: number, reason: string): void => {
    points += more;
    if (reason !== '' && more !== 0) reasons.push(reason);
  };
  const depth = depthOf(zone, zones);
  if (found.state === 'chilled' && isHome(food, zone, depth)) add(POINTS.home, HOME_WORDS[food.home]);
  if (found.state === 'chilled' && isExposed(found) && isRawShelf(zone, zones)) add(POINTS.rawShelf, '');
  if (zone.kind === 'door' && food.home !== 'door') add(POINTS.doorRack, '');
  if (zone.humidity !== null && (food.home === 'crisper-high' || food.home === 'crisper-low')) {
    const right = food.home === `crisper-${zone.humidity}`;
    add(right ? POINTS.humidity : -POINTS.humidity, right ? `${zone.humidity} humidity suits it` : '');
  }
  add(...purposePoints(found, zone));
  const inside = contents.filter((one) => one.zone === zone.id);
  if (!isFreezerZone(zone) && inside.some((one) => clash(one.food, food)))
    add(POINTS.ethylene, 'ethylene: givers ripen takers');
  if (inside.some((one) => one.food.id === food.id)) add(POINTS.sameFood, 'beside what is the same');
  else if (inside.some((one) => one.food.group === food.group)) add(POINTS.sameGroup, 'beside its like');
  if (found.daysLeft !== null && found.daysLeft <= SOON_DAYS && zone.lifts === 0 && zone.kind !== 'drawer') {
    add(POINTS.inSight, 'a short date, kept in sight');
  }
  if (zone.lifts > 0 && found.takesPerWeek > 0) {
    const lifts = found.takesPerWeek * zone.lifts;
    add(POINTS.lift * lifts, `${Number(lifts.toFixed(1))} lifts a week to reach it`);
  }
  if (found.litres >= HEAVY_LITRES)
    add(POINTS.low * depth * found.litres, depth >= 0.5 ? 'heavy things low' : '');
  if (!isFreezerZone(zone) && zone.freeLitres - found.litres < AIR_SHARE * zone.litres)
    add(POINTS.air, 'little air is left there');
  add(zone.litres > 0 ? POINTS.room * (zone.freeLitres / zone.litres) : 0, '');
  if (found.state === 'frozen' && zone.temperatureC !== null && zone.temperatureC > FREEZER_KEPT_C) {
    add(
      POINTS.warmFreezer * (zone.temperatureC - FREEZER_KEPT_C),
      `it is ${String(zone.temperatureC).replace('-', '−')} °C there, so it keeps for a shorter time`,
    );
  }
  if (reasons.length === 0) reasons.push('there is room for it');
  return { points, reasons };
}
