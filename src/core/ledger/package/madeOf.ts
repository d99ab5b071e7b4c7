import type { Food } from '../../model/food';
import type { HistoryEvent } from '../../model/history';
import type { LedgerEvent, Package } from '../../model/package';
import { counterOf, joiningOf, type JudgingWorld } from './judgePackage';
import { withEvents } from './withEvents';

/** True for what is eaten as it is: by itself, warmed or put by again, it begins no new lot (L3). */
const isReady = ({ readiness, group }: Pick<Food, 'readiness' | 'group'>): boolean =>
  readiness === 'ready-to-eat' || group === 'leftovers';

/**
 * What was put by of a meal, or cooked of a package: where nothing that needs cooking went in it is no younger than what it is made
 * of (L3), dated by the strictest of it (K11).
 *
 * @param parts as they were when they went in
 */
export function madeOf(stored: LedgerEvent, parts: readonly Package[], world: JudgingWorld): LedgerEvent {
  if (parts.length === 0 || !parts.every((part) => isReady(world.food(part.foodId)))) return stored;
  const joined = parts.map((part) => {
    const stood = counterOf(part, world);
    const thawed: HistoryEvent[] =
      part.state === 'frozen' ? [{ did: 'thawed', on: world.today, method: 'fridge' }] : [];
    const more = [...stood, ...thawed];
    return joiningOf(more.length === 0 ? part : withEvents(part, more, world), world);
  });
  return { ...stored, after: { ...withEvents(stored.after, joined, world), version: 1 } };
}
