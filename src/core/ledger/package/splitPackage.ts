import { HOUSEHOLD_MAY } from '../../model/role';
import { MOST_PACKS } from '../../model/limits';
import { happened } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import { sharePrice } from '../../portions/sharePrice';
import { sayAmount } from '../../units/sayAmount';
import { withEvents } from './withEvents';
import type { LedgerEvent, Package } from '../../model/package';
import type { World } from '../../model/world';
import type { CommandKind, OnPackage } from '../../model/command';
import { partOpens, type Pieces } from './partOpens';
import { presentPackage } from './presentPackage';

/** More codes than these are only counted in the ledger's words. */
const MOST_NAMED = 4;

/** Splitting of a package: what each new one gets; the rest stays in the old one. */
interface Splitting extends OnPackage {
  amounts: number[];
  pieces?: Pieces | null;
}

/**
 * Splits a package into several of the same lot, each with a code of its own. All keep its clocks, its minutes out of the cold and
 * their share of the price; what was closed is open in all of them, unless its pieces are closed in themselves (K4).
 *
 * @throws Refusal `amount` when nothing is left for the old one
 */
function splitPackage(command: Splitting, world: World): LedgerEvent[] {
  const found = presentPackage(world, command.package, command.version);
  const split = command.amounts.reduce((sum, amount) => sum + amount, 0);
  const rest = found.amount - split;
  if (rest < 1) {
    throw new Refusal(
      'amount',
      `There are ${sayAmount(found.amount, found.unit)} in ${found.code}: something has to stay in it.`,
    );
  }
  const opens = partOpens(found, world.food(found.foodId));
  const closed = opens === 'stays' || (opens === 'ask' && command.pieces === 'closed');
  const prices = found.priceMinor === null ? null : sharePrice(found.priceMinor, [rest, ...command.amounts]);
  const changes = { amount: rest, priceMinor: prices?.[0] ?? null };
  const after: Package = closed
    ? {
        ...found,
        ...changes,
        ...(opens === 'ask' ? { form: 'sealed' as const } : {}),
        version: found.version + 1,
      }
    : withEvents(found, [{ did: 'opened', on: world.today }], world, changes);
  const parts = command.amounts.map((amount, at): LedgerEvent => {
    const code = world.newCode();
    const { oldCodes: _old, labelled: _label, ...same } = after;
    const part: Package = {
      ...same,
      id: world.newId(),
      code,
      amount,
      priceMinor: prices?.[at + 1] ?? null,
      unanswered: [],
      version: 1,
    };
    return {
      type: 'package.split',
      before: null,
      after: part,
      says: `${part.called} ${sayAmount(amount, part.unit)} as ${code}.`,
    };
  });
  const codes = parts.map((part) => `${sayAmount(part.after.amount, found.unit)} as ${part.after.code}`);
  const named =
    codes.length > MOST_NAMED ? [...codes.slice(0, MOST_NAMED), `${codes.length - MOST_NAMED} more`] : codes;
  const says = `Split ${found.called} ${found.code}: ${named.join(', ')}; ${sayAmount(rest, found.unit)} stay in it.`;
  return [{ type: 'package.split', before: found, after, says }, ...parts];
}

export const splitPackageCommand: CommandKind<Splitting> = {
  type: 'package.split',
  may: HOUSEHOLD_MAY,
  needs: ({ package: id, amounts }) => ({ packages: [id], newCodes: Math.min(amounts.length, MOST_PACKS) }),
  decide: (command, world) => happened(splitPackage(command, world)),
};
