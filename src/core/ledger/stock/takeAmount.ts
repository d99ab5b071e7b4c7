import { HOUSEHOLD_MAY } from '../../model/role';
import { allocate, type AllocatedPackage, type Allocation } from '../../firstout/allocate';
import { firstOutKey } from '../../firstout/firstOutKey';
import type { CalendarDate } from '../../calendar/calendarDate';
import { sayPlainDate } from '../../calendar/sayDate';
import { Refusal } from '../../model/refusal';
import { planningThawHours } from '../../thermal/packageThawHours';
import { type AmountUnit, sayAmount } from '../../units/sayAmount';
import type { LedgerEvent, Package } from '../../model/package';
import type { Pieces } from '../package/partOpens';
import { takePackage } from '../package/takePackage';
import { freeAmount, promisesOf } from '../../firstout/promised';
import { isHandsOff, sayKept, sayPromised } from '../package/kept';
import { type EatingWorld, whyUnfit } from '../package/whyUnfit';
import type { World } from '../../model/world';
import type { CommandKind } from '../../model/command';
import { happened } from '../../model/decision';

/** Groups of foods of which a knife or a spoon takes a part. */
const CUT = [
  'cheese',
  'fat',
  'condiment',
  'dairy',
  'deli',
  'leftovers',
  'soup-sauce',
  'cooked-meat',
  'bread-bake',
];

/** Why it is not taken now: not for eating, or kept for somebody. */
function whyNot(
  found: Package,
  world: EatingWorld,
  promised: boolean,
  on: CalendarDate | null,
): string | null {
  const unfit = whyUnfit(found, world, 'eat')?.says;
  if (unfit !== undefined) return unfit;
  if (on !== null && found.useBy !== null && found.useBy < on)
    return `by then it is past its use by, ${sayPlainDate(found.useBy)}`;
  if (!promised && freeAmount(found, world.today) === 0)
    return `it is ${sayPromised(promisesOf(found, world.today))}`;
  return !promised && isHandsOff(found, world.today) && found.keptFor
    ? `it is kept ${sayKept(found.keptFor)}`
    : null;
}

function toAllocated(
  found: Package,
  world: EatingWorld,
  hours: number | null,
  promised: boolean,
  on: CalendarDate | null,
): AllocatedPackage {
  return {
    id: found.id,
    code: found.code,
    amount: promised ? found.amount : freeAmount(found, world.today),
    unit: found.unit,
    form: found.form,
    state: found.state,
    governingDate: found.governingDate,
    governingKind: found.governingKind,
    firstOut: firstOutKey(found),
    cuts: CUT.includes(world.food(found.foodId).group),
    unfit: whyNot(found, world, promised, on),
    thawHours:
      hours === null || found.state !== 'frozen' ? 0 : planningThawHours(found, world.food(found.foodId)),
  };
}

/** What is asked for: an amount of one food, or of foods that stand in for each other, by a meal or just now. */
export interface AmountWanted {
  amount: number;
  unit: AmountUnit;
  /** When the meal is, ISO 8601; `null`: nobody said. */
  by: string | null;
  /** The day of that meal: nothing that is past its use by then. */
  on?: CalendarDate | null;
  /** What is kept for somebody counts too. */
  promised?: boolean;
}

/** Which packages an amount comes from (RULES 2). @param packages those of the foods, in the store */
export function allocateAmount(
  packages: readonly Package[],
  wanted: AmountWanted,
  world: EatingWorld,
): Allocation {
  const hours = wanted.by === null ? null : (Date.parse(wanted.by) - Date.parse(world.at)) / 3_600_000;
  const allocated = packages.map((found) =>
    toAllocated(found, world, hours, wanted.promised ?? false, wanted.on ?? null),
  );
  return allocate(allocated, wanted.amount, wanted.unit, hours);
}

/**
 * Takes an amount, first out.
 *
 * @throws Refusal `amount` when there is not enough that may be eaten in time; nothing is taken then
 */
function takeAmount(command: AmountWanted & { pieces?: Pieces | null }, world: World): LedgerEvent[] {
  const packages = world.loaded();
  const { takes, short, passed } = allocateAmount(packages, command, world);
  if (short > 0) {
    const kept = command.promised ? null : allocateAmount(packages, { ...command, promised: true }, world);
    if (kept?.short === 0) {
      const why = passed.filter(({ why: reason }) => /^it is (kept|promised|planned)/.test(reason));
      const told = why.slice(0, 3).map(({ code, why: reason }) => `${code}: ${reason}`);
      throw new Refusal(
        'promised',
        `Without what is kept for somebody there is not enough. ${told.join('. ')}.`,
      );
    }
    const there = sayAmount(command.amount - short, command.unit);
    const why = passed.slice(0, 3).map(({ code, why: reason }) => `${code}: ${reason}`);
    throw new Refusal(
      'amount',
      short === command.amount
        ? `There is none of it to take. ${why.join('. ')}`.trim()
        : `There are only ${there} of it. ${why.join('. ')}`.trim(),
    );
  }
  return takes.flatMap(({ id, amount }) => {
    const found = packages.find((one) => one.id === id) as Package;
    return takePackage(
      {
        package: id,
        version: found.version,
        amount,
        pieces: command.pieces ?? null,
        promised: command.promised ?? false,
      },
      world,
    );
  });
}

export const takeAmountCommand: CommandKind<AmountWanted & { foods: string[]; pieces?: Pieces | null }> = {
  type: 'stock.take',
  may: HOUSEHOLD_MAY,
  needs: ({ foods }) => ({ foods }),
  decide: (command, world) => happened(takeAmount(command, world)),
  says: ({ events }) =>
    events.map(({ says }, at) => (at === 0 ? says : says.replace(/^Took /, ''))).join(' '),
};
