import { seededNormals } from '../powercut/seededNormals';
import { emptyPlan, firstOutMains, planMeal } from './planMeal';
import { MOST_SIDES, type WeekCase, type WeekUse, worthOfWeek } from './weekRules';

const SEED = 11;
const TRIES = 8000;
/** A worse week is taken now and then at first, hardly ever at the end, g. */
const WARM_G = 250;
const COOL_G = 2;

/** What is wanted of each meal; how much of which package follows first out. */
interface Wanted {
  main: string | null;
  sides: readonly string[];
}

/**
 * The best week that a search finds: what each meal is made of is changed again and again, and all else follows first out. Never worse
 * than the hurried cook's. The same case gives the same week.
 */
export function searchedWeek(kase: WeekCase, tries = TRIES): WeekUse[] {
  const { meals, packs } = kase;
  if (packs.length === 0 || meals.length === 0) return [];
  const { known } = emptyPlan(kase);
  const chance = seededNormals(SEED);
  const pick = <One>(all: readonly One[]): One | undefined => all[Math.floor(chance.uniform() * all.length)];
  const mains = meals.map((_, m) => [null, ...firstOutMains(emptyPlan(kase, known), m)]);
  const made = (week: readonly Wanted[]): WeekUse[] => {
    const plan = emptyPlan(kase, known);
    return week.flatMap(({ main, sides }, m) => {
      const uses = planMeal(plan, m, main, sides);
      return uses.length > 0 || main === null ? uses : planMeal(plan, m, null, sides);
    });
  };
  const foodOf = ({ pack }: WeekUse): string => packs[pack]?.food.id ?? '';
  const begin = emptyPlan(kase, known);
  let now = meals.map((_, m): Wanted => {
    const main = firstOutMains(begin, m).find((food) => planMeal(begin, m, food, []).length > 0) ?? null;
    const sides = new Set(planMeal(begin, m, null).map(foodOf));
    return { main, sides: [...sides] };
  });
  const changed = (): Wanted[] => {
    const week = [...now];
    const m = Math.floor(chance.uniform() * meals.length);
    const its = week[m];
    const other = Math.floor(chance.uniform() * meals.length);
    const [dice, its2] = [chance.uniform(), week[other]];
    if (!its || !its2) return week;
    if (dice < 0.15) [week[m], week[other]] = [its2, its];
    else if (dice < 0.45) week[m] = { ...its, main: pick(mains[m] ?? []) ?? null };
    else {
      const side = pick(known.sides[m] ?? []);
      const kept = its.sides.filter((one) => one !== side);
      const rest =
        kept.length < MOST_SIDES ? kept : kept.slice(dice < 0.72 ? 1 : 0, dice < 0.72 ? MOST_SIDES : 1);
      week[m] = { ...its, sides: side === undefined ? its.sides : [...rest, side] };
    }
    return week;
  };
  let worth = worthOfWeek(kase, made(now));
  let [best, most] = [made(now), worth];
  for (let at = 0; at < tries; at++) {
    const week = changed();
    const uses = made(week);
    const tried = worthOfWeek(kase, uses);
    const warm = WARM_G * (COOL_G / WARM_G) ** (at / tries);
    if (tried < worth && chance.uniform() >= Math.exp((tried - worth) / warm)) continue;
    now = week;
    worth = tried;
    if (tried > most) [best, most] = [uses, tried];
  }
  return best;
}
