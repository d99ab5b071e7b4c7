import type { PackageState } from '../model/history';
import type { FreezeFit } from '../model/food';

/** A compartment as preparing looks at it. */
export interface PreparedPart {
  id: string;
  called: string;
  kind: 'fridge' | 'freezer';
  litres: number;
  /** Share of it that is filled. */
  fill: number;
}

/** A package as preparing looks at it. */
export interface PreparedThing {
  id: string;
  part: string | null;
  state: PackageState;
  controlled: boolean;
  /** g or ml; pieces count as 100. */
  grams: number;
  /** The date that governs, YYYY-MM-DD. */
  governing: string;
  freezes: Exclude<FreezeFit, 'no'> | null;
  /** It is past its date: nothing is done for it. */
  past: boolean;
}

/** What to do before a storm. Litres and kilos; ids of parts and packages in order. */
export interface Preparation {
  /** Water for the gaps: as much as freezes beside the food until then (THERMAL 5), of so many litres that are free. */
  water: { part: string; litres: number; free: number }[];
  /** To be frozen from the fridge now, first out first, within a day's freeze-in limit. */
  freeze: string[];
  /** What would have to wait for another day. */
  waits: string[];
  /** Cannot be frozen well: eaten before, or it goes into the cool box. */
  eat: string[];
  /** For what must stay cold in the fridge and is not frozen: litres of cool box, kg of ice a day. */
  coolBox: { litres: number; iceKg: number };
}

/** A fridge wants air, a freezer none (PRODUCT A7). */
const FULL = { fridge: 0.8, freezer: 0.95 } as const;
const LEAST_WATER_L = 1;
/** More ice packs than that nobody has. */
const MOST_FRIDGE_L = 6;
/** Public advice: so many grams freeze in a litre of freezer a day (THERMAL 5). */
const GRAMS_A_LITRE = 32;
/** A kilogram of packed food and its wrap in a box, litres, and as much again for ice. */
const BOX_L_A_KG = 3;
/** Our own cautious figure: a kilogram of ice for two of food, each day. */
const ICE_A_KG = 0.5;

const earliest = (a: PreparedThing, b: PreparedThing): number => (a.governing < b.governing ? -1 : 1);

function freezeNow(things: readonly PreparedThing[], limit: number): [freeze: string[], waits: string[]] {
  let left = limit;
  const freeze: string[] = [];
  const waits: string[] = [];
  for (const { id, grams } of things) {
    if (grams <= left) {
      left -= grams;
      freeze.push(id);
    } else waits.push(id);
  }
  return [freeze, waits];
}

/**
 * A checklist from the household's own stock and drawing, before the power goes. Hours are the forecast's to tell.
 *
 * @param days whole days in which water may freeze before it is needed, at least 1
 */
export function prepareFor(
  parts: readonly PreparedPart[],
  things: readonly PreparedThing[],
  days: number,
): Preparation {
  const kindOf = new Map(parts.map(({ id, kind }) => [id, kind]));
  const inFridge = things
    .filter(({ part, state, controlled, past }) => {
      const chilled = state === 'chilled' || state === 'thawing';
      return part !== null && kindOf.get(part) === 'fridge' && chilled && controlled && !past;
    })
    .sort(earliest);
  const freezers = parts.filter(({ kind }) => kind === 'freezer');
  const limit = freezers.reduce((sum, { litres }) => sum + litres * GRAMS_A_LITRE, 0);
  const room = freezers.reduce(
    (sum, { litres, fill }) => sum + litres * Math.max(0, FULL.freezer - fill) * 1000,
    0,
  );
  const mayFreeze = inFridge.filter(
    ({ freezes, state }) => (freezes === 'good' || freezes === 'fair') && state === 'chilled',
  );
  const [freeze, waits] = freezeNow(mayFreeze, Math.min(limit, room));
  const frozen = new Set(freeze);
  const food = inFridge.reduce((sum, { id, grams }) => sum + (frozen.has(id) ? grams : 0), 0);
  const litresAll = freezers.reduce((sum, { litres }) => sum + litres, 0);
  const perLitre = litresAll === 0 ? 0 : Math.max(0, limit * days - food) / 1000 / litresAll;
  const rest = inFridge.filter(({ id }) => !frozen.has(id));
  const restKg = rest.reduce((sum, { grams }) => sum + grams, 0) / 1000;
  return {
    water: parts.flatMap(({ id, kind, litres, fill }) => {
      const free = Math.floor(litres * Math.max(0, FULL[kind] - fill));
      const freezes = Math.floor(perLitre * litres);
      const most = kind === 'freezer' ? freezes : MOST_FRIDGE_L;
      return Math.min(free, most) < LEAST_WATER_L ? [] : [{ part: id, litres: Math.min(free, most), free }];
    }),
    freeze,
    waits,
    eat: rest.filter(({ id }) => !waits.includes(id)).map(({ id }) => id),
    coolBox: { litres: Math.ceil(restKg * BOX_L_A_KG), iceKg: Math.ceil(restKg * ICE_A_KG * 2) / 2 },
  };
}
