import { HOUSEHOLD_MAY } from '../../model/role';
import type { CalendarDate } from '../../calendar/calendarDate';
import { sayPlainDate } from '../../calendar/sayDate';
import type { HistoryEvent, PrintedDate } from '../../model/history';
import { Refusal } from '../../model/refusal';
import { amountFault } from '../../units/readAmount';
import { sayAmount } from '../../units/sayAmount';
import { joiningOf, judgePackage } from './judgePackage';
import type { LedgerEvent, Package } from '../../model/package';
import type { World } from '../../model/world';
import type { OnPackage } from '../../model/command';
import { packageCommand } from './packageCommand';
import { presentPackage } from './presentPackage';

interface Correcting extends OnPackage {
  /** What is left out stays. */
  amount?: number | undefined;
  printed?: PrintedDate | null | undefined;
  /** The day it was bought, cooked, harvested or given. */
  startOn?: CalendarDate | undefined;
  /** The day it was frozen. */
  frozenOn?: CalendarDate | undefined;
  reason: string;
  /** The cook looked twice at what makes it keep longer. */
  sure: boolean;
}

/** The history with its first day, or the day it was frozen, put right. @throws Refusal when the days cannot follow each other */
function corrected(history: readonly HistoryEvent[], { startOn, frozenOn }: Correcting): HistoryEvent[] {
  const frozenAt = history.findLastIndex(({ did }) => did === 'frozen');
  if (frozenOn !== undefined && frozenAt < 0) throw new Refusal('correct', 'It was never frozen here.');
  const told = history.map((event, at) => ({
    ...event,
    on: at === 0 ? (startOn ?? event.on) : at === frozenAt ? (frozenOn ?? event.on) : event.on,
  }));
  told.forEach((event, at) => {
    const before = told[at - 1];
    if (before && event.on < before.on) {
      throw new Refusal(
        'correct',
        `${sayPlainDate(before.on)} is after ${sayPlainDate(event.on)}, when something else happened to it.`,
      );
    }
  });
  return told;
}

function changes(before: Package, after: Package): string {
  return [
    after.amount === before.amount
      ? ''
      : `${sayAmount(after.amount, after.unit)} instead of ${sayAmount(before.amount, before.unit)}`,
    after.startOn === before.startOn
      ? ''
      : `from ${sayPlainDate(after.startOn)}, not ${sayPlainDate(before.startOn)}`,
    after.governingDate === before.governingDate
      ? ''
      : `${after.governingKind === 'use-by' ? 'use by' : 'best by'} ${sayPlainDate(after.governingDate)}, not ${sayPlainDate(before.governingDate)}`,
  ]
    .filter((words) => words !== '')
    .join('; ');
}

/** The refusal of a history told in time, by today's figures; `null`: it could be. */
function refusalOf(found: Package, world: World): Refusal | null {
  try {
    judgePackage(found, world);
    return null;
  } catch (error) {
    if (error instanceof Refusal) return error;
    throw error;
  }
}

/** A correction is judged as if it had been told at the time (L6): what K5 or K8 would have refused stays refused. @throws Refusal */
function refuseUnlawful(before: Package, corrected: Package, world: World): void {
  const refusal = refusalOf(corrected, world);
  if (refusal && refusalOf(before, world) === null) throw refusal;
}

/** True when a package keeps longer in any way: by either date, by the days left once it is thawed, or not condemned any more. */
function keepsLonger(before: Package, after: Package, world: World): boolean {
  const days = (found: Package): number => joiningOf(found, world).days ?? 0;
  return (
    after.governingDate > before.governingDate ||
    after.bestBy > before.bestBy ||
    (before.useBy !== null && after.useBy === null) ||
    (before.condemned && !after.condemned) ||
    (after.state === 'frozen' && days(after) > days(before))
  );
}

/**
 * Puts right what was told wrong of a package: its amount, the day it began or was frozen, its printed date; with the reason. What
 * makes it keep longer is done only after a second look.
 *
 * @throws Refusal `amount`, `correct`, or `looser` for a later date without a second look
 */
function correctPackage(command: Correcting, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const { amount = before.amount, printed = before.printed, startOn, frozenOn, reason, sure } = command;
  const fault = amountFault(amount, before.unit);
  if (fault) throw new Refusal('amount', fault);
  for (const day of [startOn, frozenOn]) {
    if (day !== undefined && day > world.nowOn)
      throw new Refusal('correct', `${sayPlainDate(day)} is still to come.`);
  }
  const history = corrected(before.history, command);
  const dated = judgePackage(
    { ...before, amount, printed, history, version: before.version + 1 },
    world,
    history.length,
  );
  refuseUnlawful(before, { ...before, amount, printed, history }, world);
  const later = keepsLonger(before, dated, world);
  if (later && !sure) {
    throw new Refusal(
      'looser',
      dated.governingDate > before.governingDate
        ? `That would keep it longer: ${sayPlainDate(dated.governingDate)} instead of ${sayPlainDate(before.governingDate)}. Look at it again.`
        : 'That would leave it more time, if not now then once it is thawed. Look at it again.',
    );
  }
  const what = changes(before, dated);
  if (what === '') throw new Refusal('correct', 'Nothing is changed by that.');
  const says = `Corrected ${before.called} ${before.code}: ${what}. Because: ${reason}.`;
  return [{ type: 'package.corrected', before, after: dated, says }];
}

export const correctPackageCommand = packageCommand('package.correct', correctPackage, HOUSEHOLD_MAY);
