import { isMain } from './mealKind';
import {
  byFood,
  clash,
  LEAST_SHARE,
  mainsOf,
  mayEat,
  MOST_OFTEN,
  MOST_SIDES,
  mostOf,
  needOf,
  type WeekCase,
  type WeekPack,
  type WeekUse,
  worthAt,
} from './weekRules';

/** A week as a model for a solver of mixed-integer programs (LP format), and what its variables mean. */
export interface WeekModel {
  lp: string;
  /** A part of a package at a meal: binary for a whole one, grams for one that is split. */
  uses: { name: string; meal: number; pack: number; whole: boolean }[];
}

const PER_LINE = 30;

/** Of a food that presses so many that keep are looked at too: with them it makes a meal. */
const MOST_KEEPING = 2;

/** Packages that bear on what is saved: those that pass their date in the week, and the next of the same food. */
function pressing({ packs, meals }: WeekCase): ReadonlySet<number> {
  const last = meals.at(-1)?.on ?? '';
  const chosen = [...byFood(packs).values()].flatMap((its) => {
    const due = its.filter((at) => (packs[at]?.governingDate ?? '9') <= last);
    return due.length === 0 ? [] : [...due, ...its.filter((at) => !due.includes(at)).slice(0, MOST_KEEPING)];
  });
  return new Set(chosen);
}

const sum = (terms: readonly string[]): string => {
  const lines: string[] = [];
  for (let at = 0; at < terms.length; at += PER_LINE) lines.push(terms.slice(at, at + PER_LINE).join(' + '));
  return lines.join('\n + ').replaceAll('+ -', '- ');
};
const round = (figure: number): string => figure.toFixed(4);

/**
 * Builds the week that uses the most grams before their dates (RULES 2): one main a meal, sides beside it, about what is eaten, never
 * after a date, never a younger package of a food before an older one that could be eaten then, the same main three times at most.
 */
export function weekModel(kase: WeekCase): WeekModel {
  const { packs, meals, apart } = kase;
  const looked = pressing(kase);
  const foods = new Map(
    [...byFood(packs)].flatMap(([id, its]) => {
      const mine = its.filter((p) => looked.has(p));
      return mine.length === 0 ? [] : [[id, mine] as const];
    }),
  );
  const mains = meals.map((meal) => mainsOf(kase, meal));
  const rows: string[] = [];
  const worth: string[] = [];
  const binaries: string[] = [];
  const bounds: string[] = [];
  const uses: WeekModel['uses'] = [];
  const at = new Map<string, { name: string; grams: number; whole: boolean }>();
  const pack = (p: number): WeekPack => packs[p] as WeekPack;

  packs.forEach((its, p) =>
    meals.forEach((meal, m) => {
      if (!looked.has(p) || !mayEat(its, meal, kase) || (isMain(its.food) && !mains[m]?.has(its.food.id)))
        return;
      const name = `${its.splits ? 'a' : 'x'}${p}_${m}`;
      const grams = its.splits ? 1 : its.grams;
      at.set(`${p} ${m}`, { name, grams, whole: !its.splits });
      uses.push({ name, meal: m, pack: p, whole: !its.splits });
      worth.push(`${round(worthAt(kase, its, m) * grams)} ${name}`);
      if (its.splits) bounds.push(`0 <= ${name} <= ${round(its.grams)}`);
      else binaries.push(name);
    }),
  );
  const when = (p: number, most = Infinity) =>
    meals.flatMap((_, m) => (m <= most ? (at.get(`${p} ${m}`) ?? []) : []));
  packs.forEach((its, p) => {
    const all = when(p);
    if (all.length > 0)
      rows.push(`once${p}: ${sum(all.map(({ name }) => name))} <= ${its.splits ? round(its.grams) : 1}`);
  });

  let food = 0;
  const dish: string[][] = meals.map(() => []);
  const beside: string[][] = meals.map(() => []);
  for (const [, its] of foods) {
    const kind = pack(its[0] ?? 0).food;
    const chosen: string[] = [];
    meals.forEach((meal, m) => {
      const here = its.flatMap((p) => at.get(`${p} ${m}`) ?? []);
      if (here.length === 0) return;
      const y = `y${food}_${m}`;
      binaries.push(y);
      chosen.push(y);
      (isMain(kind) ? dish : beside)[m]?.push(y);
      const may = its.filter((p) => at.has(`${p} ${m}`)).map(pack);
      const grams = sum(here.map((one) => `${round(one.grams)} ${one.name}`));
      rows.push(`most${food}_${m}: ${grams} - ${round(mostOf(meal, may))} ${y} <= 0`);
      rows.push(`least${food}_${m}: ${grams} - ${round(LEAST_SHARE * needOf(meal, kind))} ${y} >= 0`);
    });
    if (isMain(kind) && chosen.length > MOST_OFTEN)
      rows.push(`often${food}: ${sum(chosen)} <= ${MOST_OFTEN}`);
    // An older one goes first, wherever it could be eaten then.
    for (const older of its)
      for (const younger of its) {
        if (pack(older).governingDate >= pack(younger).governingDate) continue;
        meals.forEach((_, m) => {
          const [now, then] = [at.get(`${younger} ${m}`), at.get(`${older} ${m}`)];
          if (!now || !then) return;
          const before = when(older, m).map((one) => `${round(one.grams / pack(older).grams)} ${one.name}`);
          if (now.whole) rows.push(`old${older}_${younger}_${m}: ${sum(before)} - ${now.name} >= 0`);
          else {
            const z = `z${older}_${younger}_${m}`;
            binaries.push(z);
            rows.push(`all${older}_${younger}_${m}: ${sum(before)} - ${z} >= 0`);
            rows.push(`old${older}_${younger}_${m}: ${now.name} - ${round(pack(younger).grams)} ${z} <= 0`);
          }
        });
      }
    food += 1;
  }
  const kinds = [...foods.values()].map((its) => pack(its[0] ?? 0).food);
  meals.forEach((_, m) => {
    const [ys, sides] = [dish[m] ?? [], beside[m] ?? []];
    if (ys.length > 1) rows.push(`dish${m}: ${sum(ys)} <= 1`);
    if (sides.length > MOST_SIDES) rows.push(`sides${m}: ${sum(sides)} <= ${MOST_SIDES}`);
    const kindOf = (y: string) => kinds[Number(/^y(\d+)_/.exec(y)?.[1])];
    for (const y of ys)
      for (const side of sides) {
        const [a, b] = [kindOf(y), kindOf(side)];
        if (a && b && clash(a, b, apart)) rows.push(`apart_${y}_${side}: ${y} + ${side} <= 1`);
      }
  });
  const lp = [
    'Maximize',
    ` obj: ${worth.length > 0 ? sum(worth) : '0'}`,
    'Subject To',
    ...(rows.length > 0 ? rows.map((row) => ` ${row}`) : [' none: 0 x <= 1']),
    'Bounds',
    ...bounds.map((row) => ` ${row}`),
    'Binary',
    ...binaries.map((name) => ` ${name}`),
    'End',
  ].join('\n');
  return { lp, uses };
}

const LEAST_G = 1;

/** The week that a solver's values mean. @param values by the names of the model's variables */
export const readWeek = (
  { uses }: WeekModel,
  values: Readonly<Record<string, number>>,
  { packs }: WeekCase,
): WeekUse[] =>
  uses.flatMap(({ name, meal, pack, whole }): WeekUse[] => {
    const value = values[name] ?? 0;
    const grams = whole ? (value > 0.5 ? (packs[pack]?.grams ?? 0) : 0) : Math.floor(value + 1e-3);
    return grams >= LEAST_G ? [{ meal, pack, grams }] : [];
  });
