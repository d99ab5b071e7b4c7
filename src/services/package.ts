import type { TrailLine } from '@/core/keeping/history';
import { sayMoney } from '@/core/units/sayAmount';
import { sql } from '@/store/database';
import { readPackageByCode } from '@/store/packages';
import { viewContext } from './context';
import { type PackageView, toPackageView } from './packageView';
import { Problem } from './problem';

/** One package with the trail of its date, and where it may go. */
export interface PackageDetail extends PackageView {
  trail: TrailLine[];
  price_words: string | null;
  freeze_fit: string;
  /** Its clocks stand still, also while it is out on the counter for a moment. */
  hard_frozen: boolean;
  zones: { id: string; name: string; appliance: string; cold: 'fridge' | 'freezer' }[];
}

/** The package that carries a code. @throws Problem 404 */
export async function readPackage(code: string): Promise<PackageDetail> {
  const context = await viewContext();
  const { household, kitchen, reference } = context;
  const found = await readPackageByCode(sql(), household.id, code.toUpperCase());
  if (!found || found.gone?.how === 'undone') {
    throw new Problem(404, 'not-found', `No package carries the code ${code.toUpperCase().slice(0, 12)}.`);
  }
  const coldOf = new Map(kitchen.appliances.map(({ id, name, cold }) => [id, { name, cold }]));
  return {
    ...toPackageView(found, context),
    trail: found.trail,
    price_words: found.priceMinor === null ? null : sayMoney(found.priceMinor, household.currency),
    hard_frozen: found.state === 'frozen',
    freeze_fit: reference.index.byId.get(found.foodId)?.freezeFit ?? 'fair',
    zones: kitchen.zones.map((zone) => {
      const appliance = coldOf.get(zone.applianceId);
      return {
        id: zone.id,
        name: zone.name,
        appliance: appliance?.name ?? '',
        cold: appliance?.cold ?? 'fridge',
      };
    }),
  };
}
