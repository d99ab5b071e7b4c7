import type { ApplianceView } from '@/services/drawing';
import { ApplianceDrawing } from './ApplianceDrawing';

/** The drawn kitchen: every appliance from the front (a chest from the lid down), in the cook's own order. */
export function KitchenMap({ appliances }: { appliances: ApplianceView[] }) {
  if (appliances.length === 0) {
    return (
      <div className="card p-8">
        <h2 className="text-xl">No appliance is drawn yet</h2>
        <p className="mt-2">
          Begin with the demo household to look around: stop the server and run `npm run demo:reset`.
        </p>
      </div>
    );
  }
  return (
    <section
      aria-label="The kitchen, drawn"
      className="grid gap-3 md:grid-cols-[minmax(0,2.2fr)_minmax(0,1fr)_minmax(0,1fr)]"
    >
      {appliances.map((appliance) => (
        <ApplianceDrawing key={appliance.id} appliance={appliance} />
      ))}
    </section>
  );
}
