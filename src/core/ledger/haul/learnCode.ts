import { HOUSEHOLD_MAY } from '../../model/role';
import { wasSet, type Decision } from '../../model/decision';
import type { LearnedCode } from '../../model/haul';
import { Refusal } from '../../model/refusal';
import { amountFault } from '../../units/readAmount';
import { sayAmount } from '../../units/sayAmount';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';

/** Learns what a scanned code stands for. @throws Refusal `amount` */
function learnCode(command: { code: string; means: LearnedCode }, world: World): Decision {
  const { code, means } = command;
  const fault = amountFault(means.amount, means.unit);
  if (fault) throw new Refusal('amount', fault);
  const food = world.food(means.food);
  const value: LearnedCode = { ...means, food: food.id, called: means.called.trim() || food.name };
  const before = world.learnedCode(code);
  const setting = (of: LearnedCode) => ({ kind: 'code' as const, subject: code, value: of });
  const says = `Code ${code} is ${value.called} ${sayAmount(value.amount, value.unit)}.`;
  return wasSet({ type: 'code.learned', before: before && setting(before), after: setting(value), says });
}

export const learnCodeCommand: CommandKind<{ code: string; means: LearnedCode }> = {
  type: 'code.learn',
  may: HOUSEHOLD_MAY,
  needs: ({ code }) => ({ codes: [code] }),
  decide: learnCode,
};
