import { HOUSEHOLD_MAY } from '../../model/role';
import type { CalendarDate } from '../../calendar/calendarDate';
import { Refusal } from '../../model/refusal';
import { amountFault } from '../../units/readAmount';
import { sayAmount } from '../../units/sayAmount';
import { counterOf } from './judgePackage';
import { withEvents } from './withEvents';
import type { LedgerEvent } from '../../model/package';
import { refuseLate, refuseOpenCut } from './whyUnfit';
import { presentPackage } from './presentPackage';
import { type World } from '../../model/world';
import { packageCommand } from './packageCommand';

/**
 * Tops up a pot (K11): egg whites, scraps for stock, crumbs. It is as old as its oldest content; at its cap it says
 * "use me".
 *
 * @param amount what is added, in the pot's unit
 * @param content the day what is added began; `null`: today
 * @param cap a new cap in the pot's unit; `null` keeps the one it has
 * @throws Refusal when it is not a pot, or K11 says no
 */
function topUpPot(
  command: {
    package: string;
    version: number;
    amount: number;
    content: CalendarDate | null;
    cap: number | null;
  },
  world: World,
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  if (before.form !== 'pot') {
    throw new Refusal('K11', `${before.code} is not a pot. Store it as a pot to top it up.`);
  }
  refuseLate(before, world);
  refuseOpenCut(before, world);
  const amount = before.amount + command.amount;
  const fault = amountFault(amount, before.unit);
  if (fault) throw new Refusal('amount', fault);
  const cap = command.cap ?? before.cap;
  const full = cap !== null && amount >= cap;
  // A stay of frozen food is never cut in two, for each would have its grace (K10).
  const goesOn = before.state === 'frozen';
  const after = withEvents(
    before,
    [
      ...(goesOn ? [] : counterOf(before, world)),
      {
        did: 'topped-up',
        on: world.today,
        content: command.content ?? world.today,
        ...(full ? { full } : {}),
      },
    ],
    world,
    { amount, cap, counterSince: before.counterSince === null || goesOn ? before.counterSince : world.at },
  );
  const added = sayAmount(command.amount, before.unit);
  return [
    {
      type: 'package.topped-up',
      before,
      after,
      says: `Topped up ${before.called} ${before.code} with ${added}${full ? '; it is full: use it' : ''}.`,
    },
  ];
}

export const topUpPotCommand = packageCommand('package.top-up', topUpPot, HOUSEHOLD_MAY);
