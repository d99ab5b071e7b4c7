import { earlier } from '../../calendar/calendarDate';
import { Refusal } from '../../model/refusal';
import type { Package } from '../../model/package';
import { judgePackage, type JudgingWorld } from './judgePackage';

/**
 * A package as it was told elsewhere: one whose history cannot be has dates that nobody can work out, so none of them is believed.
 * It is past since it began, and not for eating. When in doubt, throw it out.
 *
 * @param world the kitchen it comes into
 */
export function doubtHistory(
  found: Package,
  world: Pick<JudgingWorld, 'today' | 'food' | 'caution'>,
): Package {
  if (found.gone !== null) return found;
  try {
    judgePackage(found, world, found.history.length);
    return found;
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    const began = [found.useBy, found.bestBy, found.history[0]?.on ?? null].reduce<string>(
      (least, date) => earlier(least, date) ?? least,
      earlier(found.startOn, world.today) ?? world.today,
    );
    return {
      ...found,
      condemned: true,
      useBy: began,
      bestBy: began,
      governingDate: began,
      governingKind: 'use-by',
      trail: [
        ...found.trail,
        {
          rule: error.rule,
          from: found.governingDate,
          to: began,
          says: `What is told of it cannot be: ${error.says} When in doubt, throw it out.`,
          source: 'the record it came with',
        },
      ],
    };
  }
}
