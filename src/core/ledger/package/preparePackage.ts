import { HOUSEHOLD_MAY } from '../../model/role';
import type { HistoryEvent } from '../../model/history';
import { Refusal } from '../../model/refusal';
import { withEvents } from './withEvents';
import type { LedgerEvent } from '../../model/package';
import type { World } from '../../model/world';
import type { OnPackage } from '../../model/command';
import { packageCommand } from './packageCommand';
import { presentPackage } from './presentPackage';
import { whyUnfit } from './whyUnfit';

/** What may be done to raw or ripe food before it is cooked or frozen; none of it begins a new clock. */
export const PREPARE_WAYS = ['bread', 'marinate', 'mash'] as const;
export type PrepareWay = (typeof PREPARE_WAYS)[number];

const DONE: Record<PrepareWay, string> = { bread: 'breaded', marinate: 'marinated', mash: 'mashed' };

/**
 * Breads, marinates or mashes a package: it keeps its clock, counts as opened (K4), and its label says what was done. Only cooking
 * begins a new one.
 *
 * @throws Refusal `prepare` while it is frozen or when it is so already, K2 or K10 for what is to be thrown out
 */
function preparePackage(command: OnPackage & { way: PrepareWay; note: string }, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const unfit = whyUnfit(before, world);
  if (unfit) throw new Refusal(unfit.rule, unfit.says);
  if (before.state === 'frozen')
    throw new Refusal('prepare', `${before.code} is frozen: move it down to thaw first.`);
  const done = DONE[command.way];
  if (before.called.includes(done)) throw new Refusal('prepare', `It is ${done} already.`);
  const opened: HistoryEvent[] = before.openedOn === null ? [{ did: 'opened', on: world.today }] : [];
  const note = [before.note, command.note.trim()].filter((words) => words !== '').join(', ');
  const after = withEvents(before, opened, world, { called: `${before.called}, ${done}`, note });
  const says = `${before.called} ${before.code} is ${done}; it is not a day younger for that.`;
  return [{ type: 'package.prepared', before, after, says }];
}

export const preparePackageCommand = packageCommand('package.prepare', preparePackage, HOUSEHOLD_MAY);
