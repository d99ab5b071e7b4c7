import type { SeenAppliance } from '@/services/today/seenToday';
import Link from 'next/link';
import { ApplianceDrawing, wantedWidth } from './ApplianceDrawing';

/** The drawn kitchen: every appliance from the front (a chest from the lid down), in the cook's own order. */
export function KitchenMap({ appliances }: { appliances: SeenAppliance[] }) {
  if (appliances.length === 0) {
    return (
      <div className="card p-8">
        <h2 className="text-xl">No appliance is drawn yet</h2>
        <p className="mt-2 mb-4">
          Choose the shape of your fridge or freezer; its shelves and drawers are filled in, and you change
          what differs.
        </p>
        <Link href="/kitchen/draw" className="button" data-main="true">
          Draw the first one
        </Link>
      </div>
    );
  }
  return (
    <section aria-label="The kitchen, drawn" className="flex flex-wrap items-stretch gap-3">
      {appliances.map((appliance) => {
        const px = wantedWidth(appliance);
        return (
          <div key={appliance.id} className="flex min-w-0" style={{ flex: `${px} 1 ${px}px` }}>
            <ApplianceDrawing appliance={appliance} />
          </div>
        );
      })}
    </section>
  );
}
