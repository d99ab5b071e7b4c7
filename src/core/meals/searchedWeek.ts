import { seededNormals } from '../powercut/seededNormals';
import {
  copyPlan,
  HOW_MUCH,
  type HowMuch,
  emptyPlan,
  firstOutMains,
  planMeal,
  type WeekPlan,
} from './planMeal';
import { MOST_SIDES, type WeekCase, type WeekUse, worthOfWeek } from './weekRules';

const SEED = 11;
const TRIES = 14_000;
/** So often the finished week is gone through meal by meal for something better. */
const MOST_PASSES = 4;
/** A worse week is taken now and then at first, hardly ever at the end, g. */
const WARM_G = 250;
const COOL_G = 5;

/** What is wanted of each meal; how much of which package follows first out. */
interface Wanted {
  main: string | null;
  sides: readonly string[];
  /** How much of the main, and of what lies beside it, where it passes its date. */
  much: readonly [HowMuch, HowMuch];
}

const NOTHING: Wanted = { main: null, sides: [], much: ['most', 'most'] };

/** A week as it is wanted, and what each meal comes to. */
interface Tried {
  week: readonly Wanted[];
  uses: readonly (readonly WeekUse[])[];
  worths: readonly number[];
  worth: number;
}

/** How the store stands before each meal of a week: a change of one begins from there. */
function standings(kase: WeekCase, { uses, week }: Tried, known: WeekPlan['known']): WeekPlan[] {
  const plan = emptyPlan(kase, known);
  return week.map((_, m) => {
    const before = copyPlan(plan);
    const its = uses[m] ?? [];
    for (const { pack, grams } of its) plan.left[pack] = (plan.left[pack] ?? 0) - grams;
    const main = its.find(({ pack }) => kase.packs[pack]?.food.id === week[m]?.main);
    const food = main && kase.packs[main.pack]?.food.id;
    if (food !== undefined) plan.often.set(food, (plan.often.get(food) ?? 0) + 1);
    return before;
  });
}

/** Plans a week from a meal on; what is before it stays as it was. */
function tryWeek(kase: WeekCase, week: readonly Wanted[], from: number, base: Tried, begin: WeekPlan): Tried {
  const [uses, worths] = [base.uses.slice(0, from), base.worths.slice(0, from)];
  const plan = copyPlan(begin);
  for (let m = from; m < week.length; m++) {
    const { main, sides, much } = week[m] ?? NOTHING;
    const its = planMeal(plan, m, main, sides, much);
    const made = its.length > 0 || main === null ? its : planMeal(plan, m, null, sides, much);
    uses.push(made);
    worths.push(worthOfWeek(kase, made));
  }
  return { week, uses, worths, worth: worths.reduce((sum, one) => sum + one, 0) };
}

/** The other ways to make one meal: another main, another thing beside it, one more or one less. */
function otherWays(now: Wanted, mains: readonly (string | null)[], sides: readonly string[]): Wanted[] {
  const fewer = now.sides.map((one) => now.sides.filter((other) => other !== one));
  const free = sides.filter((side) => !now.sides.includes(side));
  const beside = [
    ...fewer,
    ...(now.sides.length < MOST_SIDES ? [now.sides] : [])
      .concat(fewer)
      .flatMap((kept) => free.map((side) => [...kept, side])),
  ];
  return [
    ...mains.filter((main) => main !== now.main).map((main) => ({ ...now, main })),
    ...beside.map((one) => ({ ...now, sides: one })),
    ...HOW_MUCH.flatMap((main) => HOW_MUCH.map((side) => ({ ...now, much: [main, side] as const }))),
  ];
}

/**
 * The best week that a search finds: what each meal is made of is changed again and again, and all else follows first out; at last it is gone
 * through meal by meal until no single change betters it. Never worse than the hurried cook's. The same case gives the same week.
 */
export function searchedWeek(kase: WeekCase, tries = TRIES): WeekUse[] {
  const { meals, packs } = kase;
  if (packs.length === 0 || meals.length === 0) return [];
  const { known } = emptyPlan(kase);
  const chance = seededNormals(SEED);
  const pick = <One>(all: readonly One[]): One | undefined => all[Math.floor(chance.uniform() * all.length)];
  const mains = meals.map((_, m) => [null, ...firstOutMains(emptyPlan(kase, known), m)]);
  const foodOf = ({ pack }: WeekUse): string => packs[pack]?.food.id ?? '';
  const begin = emptyPlan(kase, known);
  const first = meals.map((_, m): Wanted => {
    const main = firstOutMains(begin, m).find((food) => planMeal(begin, m, food, []).length > 0) ?? null;
    const sides = new Set(planMeal(begin, m, null).map(foodOf));
    return { ...NOTHING, main, sides: [...sides] };
  });
  const nothing: Tried = { week: [], uses: [], worths: [], worth: 0 };
  let now = tryWeek(kase, first, 0, nothing, emptyPlan(kase, known));
  let before = standings(kase, now, known);
  const changed = (): { week: Wanted[]; from: number } => {
    const week = [...now.week];
    const m = Math.floor(chance.uniform() * meals.length);
    const its = week[m];
    const other = Math.floor(chance.uniform() * meals.length);
    const [dice, its2] = [chance.uniform(), week[other]];
    if (!its || !its2) return { week, from: m };
    if (dice < 0.15) {
      [week[m], week[other]] = [its2, its];
      return { week, from: Math.min(m, other) };
    }
    if (dice < 0.27) {
      const [main, side] = its.much;
      const much = pick(HOW_MUCH) ?? 'most';
      week[m] = { ...its, much: dice < 0.21 ? [much, side] : [main, much] };
    } else if (dice < 0.5) week[m] = { ...its, main: pick(mains[m] ?? []) ?? null };
    else {
      const side = pick(known.sides[m] ?? []);
      const kept = its.sides.filter((one) => one !== side);
      const rest =
        kept.length < MOST_SIDES ? kept : kept.slice(dice < 0.75 ? 1 : 0, dice < 0.75 ? MOST_SIDES : 1);
      week[m] = { ...its, sides: side === undefined ? its.sides : [...rest, side] };
    }
    return { week, from: m };
  };
  let best = now;
  for (let at = 0; at < tries; at++) {
    const { week, from } = changed();
    const tried = tryWeek(kase, week, from, now, before[from] ?? emptyPlan(kase, known));
    const warm = WARM_G * (COOL_G / WARM_G) ** (at / tries);
    if (tried.worth < now.worth && chance.uniform() >= Math.exp((tried.worth - now.worth) / warm)) continue;
    now = tried;
    before = standings(kase, now, known);
    if (now.worth > best.worth) best = now;
  }
  let looked = 0;
  for (let pass = 0; pass < MOST_PASSES && looked < tries; pass++) {
    const was = best.worth;
    before = standings(kase, best, known);
    for (let m = 0; m < meals.length; m++)
      for (const way of otherWays(best.week[m] ?? NOTHING, mains[m] ?? [], known.sides[m] ?? [])) {
        const week = best.week.map((one, at) => (at === m ? way : one));
        looked += 1;
        const tried = tryWeek(kase, week, m, best, before[m] ?? emptyPlan(kase, known));
        if (tried.worth <= best.worth + 1e-9) continue;
        best = tried;
        before = standings(kase, best, known);
      }
    if (best.worth <= was) break;
  }
  return best.uses.flat();
}
