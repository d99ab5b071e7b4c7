import { HOUSEHOLD_MAY } from '../../model/role';
import type { CommandKind } from '../../model/command';
import { type Decision, happened } from '../../model/decision';
import type { HistoryEvent } from '../../model/history';
import type { LedgerEvent, Package } from '../../model/package';
import { Refusal } from '../../model/refusal';
import type { World } from '../../model/world';
import { amountFault } from '../../units/readAmount';
import { sayAmount } from '../../units/sayAmount';
import { needsCooking } from '../../foods/needsCooking';
import { sharePrice } from '../../portions/sharePrice';
import { counterOf, joiningOf } from '../package/judgePackage';
import { withEvents } from '../package/withEvents';
import { refusePromised } from '../package/kept';
import { moveTo } from '../package/moveTo';
import { presentPackage } from '../package/presentPackage';
import { reduced } from '../package/reduced';
import { refuseLate, whyUnfit } from '../package/whyUnfit';

interface Assembling {
  /** The main first, then what lies beside it. */
  parts: { package: string; version: number }[];
  /** One package each: whose it is (empty: anybody's), and how much of each part it gets, in the parts' order. */
  dinners: { whose: string; amounts: number[] }[];
  /** A fridge zone. */
  zone: string;
  promised?: boolean;
}

/** Reference: reheat leftovers to 74 °C in the middle, once. */
const REHEAT = 'Reheat once, to 74 °C in the middle';

/** The part opened, with what it stood out just now counted; refused when it may not be eaten as it is. */
function sound(found: Package, world: World, promised: boolean | undefined): Package {
  refuseLate(found, world);
  const unfit = whyUnfit(found, world);
  if (unfit) throw new Refusal(unfit.rule, unfit.says);
  refusePromised(found, promised, world);
  if (needsCooking(world.food(found.foodId)))
    throw new Refusal('K11', `${found.called} is raw: cook it first, then it may lie beside other food.`);
  if (found.state !== 'chilled' && found.state !== 'counter')
    throw new Refusal('K11', `${found.called} ${found.code} is ${found.state}: thaw it first.`);
  if (found.unit === 'pc') throw new Refusal('amount', `Weigh ${found.called}: a dinner goes by weight.`);
  const opens: HistoryEvent[] = found.openedOn === null ? [{ did: 'opened', on: world.today }] : [];
  return withEvents(found, [...counterOf(found, world), ...opens], world);
}

/**
 * Puts dinners together from what is cooked already: a main and what lies beside it, a package a person. Nothing is cooked anew, so each
 * dinner is as old as the oldest of its parts, with the most minutes out of the cold (K11); its food is the main's.
 *
 * @throws Refusal K11 for what is raw or frozen, K2 or K10 for what is to be thrown out, `amount` for more than there is
 */
function assembleDinners(command: Assembling, world: World): LedgerEvent[] {
  const before = command.parts.map((part) => presentPackage(world, part.package, part.version));
  const parts = before.map((found) => sound(found, world, command.promised));
  const [main, ...beside] = parts;
  if (!main || command.dinners.some(({ amounts }) => amounts.length !== parts.length))
    throw new Refusal('amount', 'Each dinner says how much it gets of each part.');
  const took = parts.map((_, at) =>
    command.dinners.reduce((sum, { amounts }) => sum + (amounts[at] ?? 0), 0),
  );
  const left = before.map((found, at): LedgerEvent => {
    const amount = took[at] ?? 0;
    if (amount < 1) throw new Refusal('amount', `No dinner gets anything of ${found.called}.`);
    const after = reduced(
      found,
      { package: found.id, version: found.version, amount },
      'merged',
      null,
      world,
    );
    const says = `${sayAmount(amount, found.unit)} of ${found.code} went into dinners.`;
    return { type: 'package.merged', before: found, after, says };
  });
  const prices = parts.map(({ priceMinor, amount }, at) =>
    priceMinor === null
      ? null
      : sharePrice(Math.round((priceMinor * (took[at] ?? 0)) / amount), [
          ...command.dinners.map(({ amounts }) => Math.max(1, amounts[at] ?? 0)),
        ]),
  );
  const joined = beside.map((part) => joiningOf(part, world));
  const called = [...new Set(parts.map((part) => part.called))].join(', ').slice(0, 80);
  const dinners = command.dinners.map(({ whose, amounts }, at): LedgerEvent => {
    const amount = amounts.reduce((sum, one) => sum + one, 0);
    const fault = amountFault(amount, 'g');
    if (fault) throw new Refusal('amount', fault);
    const shares = prices.map((price) => price?.[at] ?? null);
    const made = withEvents(main, joined, world, {
      ...{ id: world.newId(), code: world.newCode(), called, amount, unit: 'g', form: null, wrap: 'tub' },
      priceMinor: shares.some((one) => one === null)
        ? null
        : shares.reduce((sum: number, one) => sum + (one ?? 0), 0),
      note: REHEAT,
      ...{ zoneId: null, counterSince: world.at, cameOn: world.today },
      ...{ answer: null, unanswered: [], cap: null, photo: null, promised: [] },
      keptFor: whose === '' ? null : { whose, on: null, handsOff: false },
    });
    const { oldCodes: _old, labelled: _label, ...fresh } = made;
    const after: Package = { ...moveTo(fresh, command.zone, world).after, version: 1 };
    const says = `${called} ${sayAmount(amount, 'g')}${whose === '' ? '' : ` for ${whose}`} as ${after.code}.`;
    return { type: 'package.assembled', before: null, after, says };
  });
  return [...dinners, ...left];
}

export const assembleDinnersCommand: CommandKind<Assembling> = {
  type: 'meal.assemble',
  may: HOUSEHOLD_MAY,
  needs: ({ parts, dinners }) => ({
    packages: parts.map((part) => part.package),
    newCodes: dinners.length,
  }),
  decide: (command, world): Decision => happened(assembleDinners(command, world)),
  says: ({ events }, { dinners }) =>
    `${dinners.length} ${dinners.length === 1 ? 'dinner' : 'dinners'} put together: ${events[0]?.after.called ?? ''}.`,
};
