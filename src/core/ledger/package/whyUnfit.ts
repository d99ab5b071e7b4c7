import { later } from '../../calendar/calendarDate';
import { sayPlainDate } from '../../calendar/sayDate';
import { Refusal } from '../../model/refusal';
import { counterOf, type JudgingWorld, withEvents } from './judgePackage';
import type { Package } from '../../model/package';

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

/**
 * Why a package is not for eating: past its use by (also if it is dated before, and only told now), found bad, or out of the
 * cold for too long, the present stay included; `null` when it is.
 */
export function whyUnfit(before: Package, world: JudgingWorld): { rule: string; says: string } | null {
  const late = whyLate(before, world);
  if (late !== null) return { rule: 'K2', says: late };
  if (before.useBy !== null && before.useBy < later(world.today, world.nowOn)) {
    return { rule: 'K2', says: `${before.code} is past its use by: it is not for eating. Bin it.` };
  }
  const stay = counterOf(before, world);
  const condemned = stay.length === 0 ? before.condemned : withEvents(before, stay, world).condemned;
  if (!condemned) return null;
  return {
    rule: 'K10',
    says: `${before.code} was found bad, or stood out of the cold for too long. Bin it.`,
  };
}
