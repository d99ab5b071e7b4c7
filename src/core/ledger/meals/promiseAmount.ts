import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { Refusal } from '../../model/refusal';
import { sayAmount } from '../../units/sayAmount';
import { allocateAmount, type AmountWanted } from '../stock/takeAmount';
import { rhythmOf, slotOf } from './mealOf';
import { setMeal, usualName } from './setMeal';

interface Promising extends Omit<AmountWanted, 'promised'> {
  foods: string[];
  /** An id of the meal's own, for when there is none then yet. */
  meal: string;
  on: string;
  /** `null`: the last of the day. */
  slot: string | null;
}

/**
 * Promises an amount to the meal of a day, first out; the meal is planned by it where there is none. "Take 600 g mince for sat" is
 * this: nothing leaves the store before Saturday.
 *
 * @throws Refusal `amount` when there is not enough that may be eaten and thaws in time
 */
export const promiseAmountCommand: CommandKind<Promising> = {
  type: 'meal.promise',
  may: HOUSEHOLD_MAY,
  needs: ({ foods }) => ({ foods, kept: ['meal', 'rhythm', 'shopping'] }),
  decide: (command, world) => {
    const { takes, short, passed } = allocateAmount(world.loaded(), { ...command, promised: false }, world);
    if (short > 0) {
      const why = passed.slice(0, 3).map(({ code, why: reason }) => `${code}: ${reason}`);
      throw new Refusal(
        'amount',
        `There are only ${sayAmount(command.amount - short, command.unit)} of it for then. ${why.join('. ')}`.trim(),
      );
    }
    const at = command.slot ?? rhythmOf(world).slots.at(-1)?.id ?? '';
    const there = world
      .keptAll('meal')
      .find(({ on, slot, state }) => on === command.on && slot === at && state === 'planned');
    const known = there?.takes ?? [];
    const added = takes.map((take) => {
      const before = known.find((one) => one.package === take.id)?.amount ?? 0;
      return { package: take.id, amount: take.amount + before };
    });
    const kept = known.filter((one) => !added.some((take) => take.package === one.package));
    return setMeal(
      {
        meal: there?.id ?? command.meal,
        on: command.on,
        slot: at,
        name: there?.name ?? usualName(command.on, slotOf(world, at).name),
        eaters: there?.eaters ?? [],
        takes: [...kept.map((one) => ({ package: one.package, amount: one.amount })), ...added],
        buys: there?.buys.map(({ called }) => called) ?? [],
        pinned: there?.pinned ?? true,
      },
      world,
    );
  },
};
