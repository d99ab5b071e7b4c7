import { HOUSEHOLD_MAY } from '../../model/role';
import { addDays, type CalendarDate, later } from '../../calendar/calendarDate';
import { sayPlainDate } from '../../calendar/sayDate';
import { type Answer, type AnswerKind } from '../../model/answer';
import { nextLook } from '../../firstout/askOn';
import { Refusal } from '../../model/refusal';
import type { LedgerEvent, Package } from '../../model/package';
import { whyUnfit } from './whyUnfit';
import { presentPackage } from './presentPackage';
import { type World } from '../../model/world';
import { packageCommand } from './packageCommand';

/** How long a plan may run past a best by that went by already, in days. */
const PLAN_PAST_DAYS = 7;

function planned(before: Package, on: CalendarDate | null, today: CalendarDate): CalendarDate {
  if (on === null) throw new Refusal('plan', 'For which day is it planned?');
  if (on < today) throw new Refusal('plan', `${sayPlainDate(on)} has gone by.`);
  const last = before.useBy ?? later(before.bestBy, addDays(today, PLAN_PAST_DAYS));
  if (on > last) {
    throw new Refusal(
      'plan',
      `By ${sayPlainDate(on)} it is past its date, ${sayPlainDate(last)}. Choose a day until then.`,
    );
  }
  return on;
}

/**
 * Answers a package's heads-up. "Eat tonight" and a plan stand until it is taken, dropped or past its date, "looked, fine" until
 * the next look; then it asks again. No answer moves a date.
 *
 * @param on the day of a plan
 * @throws Refusal when it is to be thrown out, when a look is to stand against a safety date, or the plan is too late
 */
function answerPackage(
  command: { package: string; version: number; answer: AnswerKind; on: CalendarDate | null },
  world: World,
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const { today } = world;
  const unfit = whyUnfit(before, world);
  if (unfit) throw new Refusal(unfit.rule, unfit.says);
  const told = (answer: Answer | null, says: string): LedgerEvent[] => [
    { type: 'package.answered', before, after: { ...before, answer, version: before.version + 1 }, says },
  ];
  const name = `${before.called} ${before.code}`;
  const given = { on: today, for: before.governingDate };
  /** It stays among what is to be eaten and does not ask again before its date is over. */
  const toEat = (what: 'eat-tonight' | 'plan', day: CalendarDate): Answer => ({
    ...given,
    what,
    day,
    until: later(addDays(before.governingDate, 1), addDays(day, 1)),
  });
  switch (command.answer) {
    case 'eat-tonight':
      return told(toEat('eat-tonight', today), `${name}: to be eaten tonight.`);
    case 'plan': {
      const day = planned(before, command.on, today);
      return told(toEat('plan', day), `${name}: planned for ${sayPlainDate(day)}.`);
    }
    case 'drop':
      return told(null, `${name}: not planned any more.`);
    case 'looked-fine': {
      if (before.governingKind === 'use-by') {
        throw new Refusal('K2', 'A use by is a safety date: looking does not move it.');
      }
      const until = nextLook(before, today, world.food(before.foodId).fridgeDaysMax);
      return told(
        { ...given, what: 'looked-fine', until },
        `${name}: looked at, fine. Next look ${sayPlainDate(until)}.`,
      );
    }
  }
}

export const answerPackageCommand = packageCommand('package.answer', answerPackage, HOUSEHOLD_MAY);
