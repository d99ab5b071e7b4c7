import { isMain, isSide } from './mealKind';
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
  type WeekUse,
} from './weekRules';

/** A week that is being planned, meal by meal in order of time: what is left of each package, and how often a main was had. */
export interface WeekPlan {
  kase: WeekCase;
  left: Float64Array;
  often: Map<string, number>;
  /** What never changes while a week is tried in many ways. */
  known: {
    foods: ReadonlyMap<string, readonly number[]>;
    mains: readonly ReadonlySet<string>[];
    /** Of each meal by food: its packages that may be eaten then, what is needed, and the most. */
    may: readonly ReadonlyMap<string, { its: readonly number[]; need: number; most: number }>[];
    sides: readonly (readonly string[])[];
    /** Of each package: it passes its date within the week. */
    due: readonly boolean[];
  };
}

function knownOf(kase: WeekCase): WeekPlan['known'] {
  const { packs, meals } = kase;
  const foods = byFood(packs);
  const may = meals.map(
    (meal) =>
      new Map(
        [...foods].flatMap(([food, all]) => {
          const its = all.filter((at) => mayEat(packs[at] ?? fail(), meal, kase));
          const of = its.map((at) => packs[at] ?? fail());
          const [first] = of;
          return first
            ? [[food, { its, need: needOf(meal, first.food), most: mostOf(meal, of) }] as const]
            : [];
        }),
      ),
  );
  const sides = meals.map((_, m) =>
    [...(may[m]?.keys() ?? [])].filter((food) => isSide((packs[foods.get(food)?.[0] ?? -1] ?? fail()).food)),
  );
  return {
    foods,
    mains: meals.map((meal) => mainsOf(kase, meal)),
    may,
    sides,
    due: packs.map(({ governingDate }) => governingDate <= (meals.at(-1)?.on ?? '')),
  };
}

function fail(): never {
  throw new Error('a package that is not there');
}

/** A week with nothing planned. @param known of the same case, so that it need not be found again */
export function emptyPlan(kase: WeekCase, known = knownOf(kase)): WeekPlan {
  return { kase, left: Float64Array.from(kase.packs, ({ grams }) => grams), often: new Map(), known };
}

/** The same plan to go on from in another way. */
export const copyPlan = (plan: WeekPlan): WeekPlan => ({
  ...plan,
  left: plan.left.slice(),
  often: new Map(plan.often),
});

/** How much of what passes its date a meal takes: as much as it can, what is eaten, or the least that makes a meal. */
export const HOW_MUCH = ['most', 'enough', 'least'] as const;
export type HowMuch = (typeof HOW_MUCH)[number];

/** Packages of a food that a meal takes, first out: as much as is eaten, more of what passes its date; nothing when it is too little. */
function taken({ kase, left, known }: WeekPlan, m: number, food: string, much: HowMuch): WeekUse[] {
  const here = known.may[m]?.get(food);
  if (!here) return [];
  const cap = much === 'most' ? here.most : here.need * (much === 'enough' ? 1 : LEAST_SHARE);
  const most = Math.min(here.most, Math.ceil(cap));
  const uses: WeekUse[] = [];
  let sum = 0;
  // One that is too large may be passed over for another of the same day, never for a younger one.
  let passed: string | null = null;
  for (const at of here.its) {
    const pack = kase.packs[at];
    const rest = left[at] ?? 0;
    if (!pack || rest <= 0) continue;
    if (passed !== null && pack.governingDate !== passed) break;
    const due = known.due[at] === true;
    if (sum >= (due ? most : LEAST_SHARE * here.need)) break;
    const grams = pack.splits
      ? Math.min(rest, Math.floor((due ? most : Math.min(most, here.need)) - sum))
      : rest;
    if (grams <= 0) break;
    if (sum + grams > here.most + 1e-9) {
      passed = pack.governingDate;
      continue;
    }
    uses.push({ meal: m, pack: at, grams });
    sum += grams;
    if (pack.splits && grams < rest) break;
  }
  return sum >= LEAST_SHARE * here.need ? uses : [];
}

/** Mains that a meal may have, what goes first of all first. */
export function firstOutMains({ kase, left, often, known }: WeekPlan, m: number): string[] {
  const mains = known.mains[m] ?? new Set<string>();
  const inOrder = kase.packs.filter(
    ({ food }, at) =>
      (left[at] ?? 0) > 0 && isMain(food) && mains.has(food.id) && (often.get(food.id) ?? 0) < MOST_OFTEN,
  );
  return [...new Set(inOrder.map(({ food }) => food.id))];
}

/**
 * Plans one meal with a main and what goes beside it, and takes it off what is left.
 *
 * @param main `null`: only what goes beside
 * @param beside foods that are wanted beside it; left out: what goes first
 */
export function planMeal(
  plan: WeekPlan,
  m: number,
  main: string | null,
  beside: readonly string[] = plan.known.sides[m] ?? [],
  [much, muchBeside]: readonly [HowMuch, HowMuch] = ['most', 'most'],
): WeekUse[] {
  const { kase, left, often, known } = plan;
  const uses: WeekUse[] = [];
  const put = (more: WeekUse[]): boolean => {
    for (const { pack, grams } of more) left[pack] = (left[pack] ?? 0) - grams;
    uses.push(...more);
    return more.length > 0;
  };
  const has = main !== null && known.mains[m]?.has(main) === true && (often.get(main) ?? 0) < MOST_OFTEN;
  if (main !== null && (!has || !put(taken(plan, m, main, much)))) return [];
  if (main !== null) often.set(main, (often.get(main) ?? 0) + 1);
  const foodOf = (id: string) => kase.packs[known.foods.get(id)?.[0] ?? -1]?.food;
  const mainFood = main === null ? undefined : foodOf(main);
  let sides = 0;
  for (const side of beside) {
    if (sides === MOST_SIDES) break;
    const food = foodOf(side);
    if (!food || (mainFood && clash(mainFood, food, kase.apart))) continue;
    if (put(taken(plan, m, side, muchBeside))) sides += 1;
  }
  return uses;
}
