import { later } from '../../calendar/calendarDate';
import { sayPlainDate } from '../../calendar/sayDate';
import { Refusal } from '../../model/refusal';
import { asEdible, mayEat } from '../../keeping/mayEat';
import type { World } from '../../model/world';
import type { JudgingWorld } from './judgePackage';
import type { Package } from '../../model/package';

/** What the answer needs to know of the world. */
export type EatingWorld = JudgingWorld & Pick<World, 'openVerdict' | 'hot'>;

/** Told late: what was good on the day it is dated is past its use by now that it is told. `null`: it is not. */
function whyLate(before: Package, { today, nowOn }: Pick<JudgingWorld, 'today' | 'nowOn'>): string | null {
  if (before.useBy === null || before.useBy >= nowOn || before.useBy < today) return null;
  return `${before.code}: dated ${sayPlainDate(today)}, yet told only now, past its use by of ${sayPlainDate(before.useBy)}. An earlier date does not make it good: bin it.`;
}

/** Nothing that is told late makes food good again. @throws Refusal K2 */
export function refuseLate(before: Package, world: Pick<JudgingWorld, 'today' | 'nowOn'>): void {
  const late = whyLate(before, world);
  if (late !== null) throw new Refusal('K2', late);
}

/** What a power cut asks about is kept in no other way before that is decided (O13). @throws Refusal O13 */
export function refuseOpenCut(before: Package, world: EatingWorld): void {
  const unfit = whyUnfit(before, world);
  if (unfit?.rule === 'O13') throw new Refusal(unfit.rule, unfit.says);
}

/**
 * Why a package may not be eaten, cooked or passed on now (L7): past its use by (also if it is dated before, and only told now), found
 * bad, out of the cold for too long, or thrown out or not yet decided by a power cut; `null` when it may.
 *
 * @param deed what is done with it: what a cut says is to be cooked or eaten soon may be
 */
export function whyUnfit(
  before: Package,
  world: EatingWorld,
  deed: 'cook' | 'eat' | 'other' = 'other',
): { rule: string; says: string } | null {
  const late = whyLate(before, world);
  if (late !== null) return { rule: 'K2', says: late };
  const cut = world.openVerdict(before);
  const { may, rule, says } = mayEat(asEdible(before), {
    today: later(world.today, world.nowOn),
    at: before.counterSince !== null && world.at < before.counterSince ? world.now : world.at,
    hot: world.hot,
    food: world.food(before.foodId),
    cut,
  });
  if (may === 'discard') return { rule, says: `${before.code}: ${says}. Bin it.` };
  const meant =
    (cut?.verdict === 'eat-soon' && deed !== 'other') || (cut?.verdict === 'cook-now' && deed === 'cook');
  return may === 'ask' && !meant ? { rule, says: `${before.code}: ${says}.` } : null;
}
