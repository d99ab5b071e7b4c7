import { warmthOf } from './judgePackage';
import { withEvents } from './withEvents';
import type { LedgerEvent, Package, Zone } from '../../model/package';
import type { World } from '../../model/world';

/** The event of a zone growing warmer or colder around a package (K9); `null` when its clocks run as before. */
export function warmAround(before: Package, zone: Zone, world: World): LedgerEvent | null {
  const warmth = warmthOf(zone, before.celsius, world.today);
  if (warmth.length === 0) return null;
  const after = withEvents(before, warmth, world);
  const says = `${zone.name} is at ${String(zone.temperatureC).replace('-', '−')} °C; ${before.called} ${before.code} is dated by that.`;
  return { type: 'package.redated', before, after, says };
}
