import { greedyWeek } from '../src/core/meals/greedyWeek';
import { solvedWeek } from '../src/core/meals/solvedWeek';
import { thawHours, thawWays } from '../src/core/meals/thawWays';
import { readWeek, weekModel } from '../src/core/meals/weekModel';
import { savedGrams, worthOfWeek } from '../src/core/meals/weekRules';
import { solveValues } from '../src/workers/solveProgram';
import { food } from '../tests/fixtures/reference';
import { madeUpWeek } from '../tests/fixtures/weeks';
import type { Measured } from './measureKitchen';
import { quantile } from './quantile';
import { inFull } from './benchScale';

const WEEKS = inFull(20, 1);
const PROVEN = inFull(4, 1);
const PACKAGES = inFull(300, 60);
const PROOF_SECONDS = inFull(30, 2);
const THAWING = inFull(20, 2);
const FROZEN = ['ground-lamb', 'trout', 'stew', 'chicken-pieces', 'soup'];

/** How long a week takes, how near it comes to the exact model's best, what it saves; and a thaw plan. */
export async function measureMeals(): Promise<Measured[]> {
  const times: number[] = [];
  const gains: number[] = [];
  for (let seed = 1; seed <= WEEKS; seed++) {
    const kase = madeUpWeek(seed, PACKAGES);
    const begun = performance.now();
    const week = solvedWeek(kase);
    times.push(performance.now() - begun);
    gains.push(savedGrams(kase, week) / Math.max(1, savedGrams(kase, greedyWeek(kase))));
  }
  const near: number[] = [];
  for (let seed = 1; seed <= PROVEN; seed++) {
    const kase = madeUpWeek(seed, PACKAGES);
    const model = weekModel(kase);
    const best = readWeek(model, await solveValues(model.lp, { seconds: PROOF_SECONDS, gap: 1e-3 }), kase);
    near.push(worthOfWeek(kase, solvedWeek(kase)) / worthOfWeek(kase, best));
  }
  const begun = performance.now();
  for (let at = 0; at < THAWING; at++) {
    const pack = { amount: 400 + 50 * at, unit: 'g' as const, form: at % 3 === 0 ? ('flat' as const) : null };
    thawWays(
      pack,
      food(FROZEN[at % FROZEN.length] ?? 'stew'),
      '2026-11-28T18:30:00.000Z',
      '2026-11-25T12:00:00.000Z',
      thawHours,
    );
  }
  const thaw = performance.now() - begun;
  return [
    { what: 'week of 14 meals from 300 packages, p95', value: quantile(times, 0.95), unit: 'ms' },
    {
      what: 'used before its date, against the oldest alone, median',
      value: quantile(gains, 0.5),
      unit: 'times',
    },
    {
      what: `worth against the exact model after ${PROOF_SECONDS} s, least`,
      value: Math.min(...near),
      unit: 'share',
    },
    { what: `the same, median`, value: quantile(near, 0.5), unit: 'share' },
    { what: 'thaw plan of 20 packages unlike each other', value: thaw, unit: 'ms' },
  ];
}
