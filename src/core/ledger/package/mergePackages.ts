import { HOUSEHOLD_MAY } from '../../model/role';
import { happened } from '../../model/decision';
import type { HistoryEvent } from '../../model/history';
import { Refusal } from '../../model/refusal';
import { amountFault } from '../../units/readAmount';
import { sayAmount } from '../../units/sayAmount';
import { counterOf, joiningOf } from './judgePackage';
import { withEvents } from './withEvents';
import type { LedgerEvent, Package } from '../../model/package';
import type { World } from '../../model/world';
import type { CommandKind, OnPackage } from '../../model/command';
import { refusePromised } from './kept';
import { partOpens } from './partOpens';
import { presentPackage } from './presentPackage';
import { reduced } from './reduced';
import { refuseLate, whyUnfit } from './whyUnfit';

/** Some of a package, or all of it (`null`), that goes into another. */
interface Joining extends OnPackage {
  amount: number | null;
}

interface Merging extends OnPackage {
  with: Joining[];
  /** What is kept for somebody goes in all the same. */
  promised?: boolean;
}

/** Why two packages do not go together; `null` when they do. */
function whyApart(into: Package, from: Package): string | null {
  if (from.id === into.id) return 'A package is not put together with itself.';
  if (from.foodId !== into.foodId) return `${from.called} does not go into ${into.called}: like with like.`;
  if (from.unit !== into.unit) return `${from.code} is counted otherwise than ${into.code}.`;
  if (from.state !== into.state)
    return `${from.code} is ${from.state}, ${into.code} is ${into.state}: only what is kept alike goes together.`;
  return null;
}

/** What the present stay on the counter adds to a package, before anything is put together. */
function settled(found: Package, world: World): Package {
  const stay = counterOf(found, world);
  return stay.length === 0 ? found : withEvents(found, stay, world);
}

/**
 * Puts packages together, or fills an open one from its backup: like with like, dated by the older (K11). What is only half poured
 * out is open from then on.
 *
 * @throws Refusal K2 or K10 for what is to be thrown out, K11 for what does not go together, `amount` for more than there is
 */
function mergePackages(command: Merging, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  refuseLate(before, world);
  const unfit = whyUnfit(before, world);
  if (unfit) throw new Refusal(unfit.rule, unfit.says);
  const gone: LedgerEvent[] = [];
  let { amount, priceMinor, blanched } = before;
  const joined: HistoryEvent[] = [];
  let exposed = false;
  for (const one of command.with) {
    const from = presentPackage(world, one.package, one.version);
    const apart = whyApart(before, from);
    if (apart) throw new Refusal('K11', apart);
    refusePromised(from, command.promised, world);
    const bad = whyUnfit(from, world);
    if (bad) throw new Refusal(bad.rule, bad.says);
    const all = one.amount === null || one.amount === from.amount;
    const poured = one.amount ?? from.amount;
    const after = reduced(from, { ...one, pieces: null }, 'merged', null, world);
    const share =
      from.priceMinor === null ? null : from.priceMinor - (after.gone ? 0 : (after.priceMinor ?? 0));
    amount += poured;
    priceMinor = priceMinor === null || share === null ? null : priceMinor + share;
    blanched &&= from.blanched;
    exposed ||= from.openedOn !== null;
    const brought = settled(from, world);
    joined.push(joiningOf(brought, world));
    gone.push({
      type: 'package.merged',
      before: from,
      after,
      says: `${sayAmount(poured, from.unit)} of ${from.code} went into ${before.code}${all ? '' : '; the rest is open'}.`,
    });
  }
  const fault = amountFault(amount, before.unit);
  if (fault) throw new Refusal('amount', fault);
  // A stay of frozen food is never cut in two, for each would have its grace (K10).
  const goesOn = before.state === 'frozen';
  const now = goesOn ? before : settled(before, world);
  const opens =
    before.openedOn === null && (exposed || partOpens(before, world.food(before.foodId)) !== 'stays');
  const opened: HistoryEvent[] = opens ? [{ did: 'opened', on: world.today }] : [];
  // More of it thaws more slowly on paper: what was dated already stays a limit of its own.
  const own: HistoryEvent = { ...joiningOf(now, world), anew: true };
  const after = withEvents(now, [...opened, own, ...joined], world, {
    amount,
    priceMinor,
    blanched,
    counterSince: before.counterSince === null || goesOn ? before.counterSince : world.at,
  });
  const codes = gone.map((event) => event.before?.code).join(', ');
  const says = `Put ${codes} together with ${before.called} ${before.code}: ${sayAmount(amount, before.unit)}, dated by the older.`;
  return [
    { type: 'package.merged', before, after: { ...after, version: before.version + 1 }, says },
    ...gone,
  ];
}

export const mergePackagesCommand: CommandKind<Merging> = {
  type: 'package.merge',
  may: HOUSEHOLD_MAY,
  needs: ({ package: id, with: others }) => ({ packages: [id, ...others.map((one) => one.package)] }),
  decide: (command, world) => happened(mergePackages(command, world)),
};
