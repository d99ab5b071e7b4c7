import Joi from 'joi';
import type { Food } from '@/core/model/food';
import { partOpens } from '@/core/ledger/package/partOpens';
import { allocateAmount } from '@/core/ledger/stock/takeAmount';
import { AMOUNT_UNITS, type AmountUnit, sayAmount } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readStock } from '@/store/packages';
import { viewContext } from '../household/context';
import { foodNamed } from '../household/household';
import { type PackageView, toPackageView } from '../stock/packageView';
import { dateSchema, instantSchema, validate } from '../door/validate';

const MOST_LOOKED_AT = 1000;

/** What an amount would come from. */
export interface AllocationView {
  takes: { view: PackageView; amount: number; amount_words: string; whole: boolean; why: string }[];
  excess: number;
  short: number;
  /** Which package is opened by it; empty: none. */
  opens: string;
  /** Only the cook knows whether its pieces are each closed in itself. */
  asks: boolean;
  passed: { code: string; food: string; why: string }[];
  /** "1 kg from 2 packages; 100 g more than asked". */
  says: string;
}

export const allocationSchema = Joi.object({
  foods: Joi.array().items(Joi.string().trim().min(1).max(120)).min(1).max(20).required(),
  amount: Joi.number().integer().min(1).max(200_000).required(),
  unit: Joi.string()
    .valid(...AMOUNT_UNITS)
    .required(),
  by: instantSchema.allow(null).default(null).description('when the meal is'),
  on: dateSchema.allow(null).default(null).description('its day: nothing that is past its use by then'),
}).meta({ className: 'AllocationRequest' });

/** Which packages an amount would be taken from (RULES 2), without taking anything. @throws Problem */
export async function readAllocation(body: unknown): Promise<AllocationView> {
  const request = validate<{
    foods: string[];
    amount: number;
    unit: AmountUnit;
    by: string | null;
    on: string | null;
  }>(allocationSchema, body);
  const context = await viewContext();
  const { household, reference, today, at, openVerdict } = context;
  const foodIds = request.foods.map(
    (name) => reference.byId.get(name)?.id ?? foodNamed(reference.index, name).id,
  );
  const packages = await readStock(sql(), household.id, {
    foodIds,
    zoneId: null,
    state: null,
    after: null,
    limit: MOST_LOOKED_AT,
  });
  const result = allocateAmount(packages, request, {
    ...{ today, at, hot: false, openVerdict },
    now: at,
    nowOn: today,
    caution: household.settings.caution,
    food: (id): Food => reference.byId.get(id) ?? foodNamed(reference.index, id),
  });
  const viewOf = (id: string): PackageView => {
    const found = packages.find((one) => one.id === id);
    if (!found) throw new Error(`allocation named a package that was not there: ${id}`);
    return toPackageView(found, context);
  };
  const words = (amount: number): string => sayAmount(amount, request.unit);
  const parted = result.takes
    .filter(({ whole }) => !whole)
    .map(({ id }) => packages.find((one) => one.id === id));
  const opening = parted.flatMap((found) => {
    const food = found && reference.byId.get(found.foodId);
    if (!found || !food) return [];
    const opens = partOpens(found, food);
    return opens === 'stays' ? [] : [{ code: found.code, opens }];
  });
  const total = request.amount - result.short + result.excess;
  const count = result.takes.length;
  return {
    takes: result.takes.map(({ id, amount, whole, why }) => ({
      view: viewOf(id),
      amount,
      amount_words: words(amount),
      whole,
      why,
    })),
    excess: result.excess,
    short: result.short,
    opens:
      opening.length === 0
        ? ''
        : `What stays in ${opening.map(({ code }) => code).join(', ')} counts as opened then.`,
    asks: opening.some(({ opens }) => opens === 'ask'),
    passed: result.passed.map(({ id, code, why }) => ({ code, food: viewOf(id).food.name, why })),
    says: [
      count === 0
        ? 'Nothing of it may be taken'
        : `${words(total)} from ${count === 1 ? 'one package' : `${count} packages`}`,
      result.excess > 0 ? `${words(result.excess)} more than asked, since it does not come apart` : '',
      result.short > 0 ? `${words(result.short)} short` : '',
    ]
      .filter((part) => part !== '')
      .join('; '),
  };
}
