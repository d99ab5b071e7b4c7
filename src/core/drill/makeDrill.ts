import type { Seen } from '../model/cut';
import { seededNormals } from '../powercut/seededNormals';
import type { Drill, DrillItem, DrillPart } from './drill';
import drills from './drills.json';

type Row = Omit<Drill, 'items' | 'refroze' | 'stillOff' | 'openings' | 'parts' | 'since'> & {
  since: string;
  refroze?: boolean;
  stillOff?: boolean;
  openings?: number;
  parts: (Omit<DrillPart, 'kind'> & { kind: string })[];
  items: (string | number)[][];
  /** The appliance of each item; one for all, or one each. */
  place: string[];
  signs?: Record<string, string>;
};

function toDrill(row: Row): Drill {
  const { place, signs = {}, items, ...told } = row;
  return {
    ...told,
    since: row.since === 'told' ? 'told' : 'unknown',
    refroze: row.refroze ?? false,
    stillOff: row.stillOff ?? false,
    openings: row.openings ?? 0,
    parts: row.parts as DrillPart[],
    items: items.map(([food = '', called = '', grams = 0, priceMinor = 0], at): DrillItem => ({
      id: `${row.id}-${at}`,
      food: String(food),
      called: String(called),
      grams: Number(grams),
      priceMinor: Number(priceMinor),
      part: place[at] ?? place[0] ?? '',
      sign: (signs[String(at)] as keyof Seen | undefined) ?? null,
    })),
  };
}

/** The exercises that come along. */
export const DRILLS: readonly Drill[] = (drills as unknown as Row[]).map(toDrill);

const FOODS: readonly Drill['items'][number][] = [
  ...new Map(DRILLS.flatMap(({ items }) => items).map((item) => [item.food, item])).values(),
];
const FRIDGE = new Set(
  DRILLS.flatMap(({ items, parts }) =>
    items
      .filter(({ part }) => parts.find(({ id }) => id === part)?.kind === 'fridge')
      .map(({ food }) => food),
  ),
);
const ITEMS = 5;

/** Another exercise, drawn from a seed: any of the appliances, hours and foods of those that come along. */
export function makeDrill(seed: number): Drill {
  const chance = seededNormals(seed);
  const of = <One>(all: readonly One[]): One => all[Math.floor(chance.uniform() * all.length)] as One;
  const part: DrillPart = {
    ...of(DRILLS.flatMap(({ parts }) => parts)),
    fill: Math.round((0.2 + 0.75 * chance.uniform()) * 20) / 20,
    roomC: Math.round(8 + 22 * chance.uniform()),
    telltale: chance.uniform() < 0.7,
    thermometer: chance.uniform() < 0.6,
  };
  const fridge = part.kind === 'fridge';
  const hours = fridge ? 1 + Math.floor(9 * chance.uniform()) : 6 + Math.floor(60 * chance.uniform());
  const suits = FOODS.filter(({ food }) => FRIDGE.has(food) === fridge);
  const items = new Map<string, DrillItem>();
  while (items.size < Math.min(ITEMS, suits.length)) {
    const item = of(suits);
    const sign = chance.uniform() < 0.06 ? ('mould' as const) : null;
    items.set(item.food, { ...item, id: `${seed}-${item.food}`, part: part.id, sign });
  }
  return {
    ...{ id: `drawn-${seed}`, title: `Drawn by chance, no. ${seed}`, hours, seed, since: 'told' },
    story: `${part.called}: off for ${hours} hours in a room of ${part.roomC} °C. ${fridge ? 'What was in it is below.' : 'Nobody looked so far.'}`,
    ...{ refroze: false, stillOff: chance.uniform() < 0.3, openings: Math.floor(3 * chance.uniform()) },
    parts: [part],
    items: [...items.values()],
  };
}
