import type { DrillRecord } from '@/core/model/cut';
import type { DrillFood } from '@/core/drill/drill';
import { DRILLS } from '@/core/drill/makeDrill';
import { sql } from '@/store/database';
import { readKept } from '@/store/kept';
import { viewContext } from '../household/context';
import { outageClassOf } from '../household/household';

export interface DrillsView {
  records: DrillRecord[];
  foods: [id: string, food: DrillFood][];
  currency: string;
}

/** How the exercises went so far, and what their foods are to the rules. */
export async function readDrills(): Promise<DrillsView> {
  const { household, reference } = await viewContext();
  const kept = await readKept(sql(), household.id, ['drill']);
  const ids = new Set(DRILLS.flatMap(({ items }) => items.map(({ food }) => food)));
  return {
    records: [...kept.drill.values()],
    foods: [...ids].flatMap((id): [string, DrillFood][] => {
      const food = reference.byId.get(id);
      return food ? [[id, { name: food.name, outageClass: outageClassOf(reference, food.outageClass) }]] : [];
    }),
    currency: household.currency,
  };
}
