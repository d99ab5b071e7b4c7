import type { Eatable } from '@/core/keeping/mayEat';
import type { StockRow } from '@/core/stock/stockRow';
import type { ToldPackage } from '@/store/feed';
import type { HouseholdContext } from '../household/context';
import { readStockRows } from '../stock/stockRows';

/** A package as papers tell of it, with what may be done with it now. */
export type ToldNow = ToldPackage & { may: Eatable };

const asTold = (row: StockRow): ToldPackage => ({ ...row, nearOn: '', askOn: '' });

/** Says of packages what may be done with them now, and adds what is to be thrown out or asked about, whatever its date is. */
export async function toldNow(context: HouseholdContext, told: readonly ToldPackage[]): Promise<ToldNow[]> {
  const rows = await readStockRows(context.household, context.today);
  const may = new Map(
    rows
      .map((row) => [row.id, context.mayEat(row).may] as const)
      .filter(([, answer]) => answer === 'discard' || answer === 'ask'),
  );
  const known = new Set(told.map(({ id }) => id));
  return [
    ...told.map((one): ToldNow => ({ ...one, may: may.get(one.id) ?? 'eat' })),
    ...rows.flatMap((row): ToldNow[] => {
      const answer = may.get(row.id);
      return answer === undefined || known.has(row.id)
        ? []
        : [{ ...asTold(row), askOn: context.today, may: answer }];
    }),
  ];
}
