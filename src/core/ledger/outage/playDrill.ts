import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import type { DrillRecord } from '../../model/cut';
import { keptDecided } from '../settings/keptDecided';

type Told = Omit<DrillRecord, 'plays'>;

/** True when one try is better than another: safe first, then less waste, then quicker. */
function isBetter(a: Told, b: Told): boolean {
  if (a.safe !== b.safe) return a.safe;
  return a.wasted === b.wasted ? a.minutes < b.minutes : a.wasted < b.wasted;
}

/** An exercise was played to its mark: the best try is kept, and how often it was tried. */
export const playDrillCommand: CommandKind<Told> = {
  type: 'drill.play',
  may: HOUSEHOLD_MAY,
  needs: () => ({ kept: ['drill'] }),
  decide: ({ drill, safe, wasted, minutes }, world) => {
    const before = world.kept('drill', drill);
    const told = { drill, safe, wasted, minutes };
    const best = before && !isBetter(told, before) ? before : told;
    const record = { ...best, drill, plays: (before?.plays ?? 0) + 1 };
    const says = `Played a power cut for practice: ${safe ? 'safe' : 'not safe'}, ${Math.round(wasted * 100)} % wasted.`;
    return keptDecided(world, 'drill', drill, record, says);
  },
};
