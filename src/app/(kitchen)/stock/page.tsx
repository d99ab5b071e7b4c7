import { inOurUnits } from '@/services/household/inOurUnits';
import type { Metadata } from 'next';
import { STATES } from '@/core/model/history';
import { GROUPINGS } from '@/core/stock/groupStock';
import { viewContext } from '@/services/household/context';
import { readDrawing } from '@/services/kitchen/drawing';
import { readZones } from '@/services/kitchen/zones';
import { readStockGroups } from '@/services/stock/stockGroups';
import { StockBench } from '@/ui/stock/StockBench';
import { type Search, textsOf } from '../search';

export const metadata: Metadata = { title: 'Stock' };

/** Groups of the first drawing: more than are in sight; the rest comes as one scrolls. */
const AT_FIRST = 40;

export default async function StockPage({ searchParams }: { searchParams: Search }) {
  const { q, state, zone, by } = await textsOf(searchParams, 'q', 'state', 'zone', 'by');
  const asked = {
    q,
    zone,
    state: STATES.find((known) => known === state),
    by: GROUPINGS.find((known) => known === by),
    limit: AT_FIRST,
  };
  const [groups, { zones }, appliances] = await inOurUnits(
    await Promise.all([readStockGroups(asked), readZones(), readDrawing(await viewContext())]),
  );
  return (
    <>
      <h1 className="mb-3 text-[1.6rem]">Stock</h1>
      <StockBench
        first={groups}
        // As much as the outline needs: what lies where is told by the groups.
        appliances={appliances.map(({ id, name, compartments, zones: inside }) => ({
          ...{ id, name },
          compartments: compartments.map(({ id: own, box }) => ({ id: own, box })),
          zones: inside.map((one) => ({
            ...{ id: one.id, name: one.name, box: one.box, side: one.side, fill: one.fill },
            compartment_id: one.compartment_id,
          })),
        }))}
        zones={zones.map(({ id, name, cold, appliance }) => ({
          id,
          name: `${name}, ${appliance.name}`,
          cold,
        }))}
      />
    </>
  );
}
