import { isExposed, isRaw, type PlacedFood, type PlacingZone } from './placing';

/** True when raw juice in `raw` could reach what lies in `exposed`: the same zone, or above it without a leak-proof tray. */
export function mayDrip(raw: PlacingZone, exposed: PlacingZone): boolean {
  if (raw.id === exposed.id) return true;
  return raw.appliance === exposed.appliance && raw.order < exposed.order && !raw.leakproof;
}

/** Zones that what lies there already shuts to raw food, and zones that it shuts to food raw juice must not reach (P3). */
export function shutByContents(
  zones: readonly PlacingZone[],
  contents: readonly PlacedFood[],
): { toRaw: ReadonlySet<string>; toExposed: ReadonlySet<string> } {
  const holding = (is: (food: PlacedFood['food']) => boolean): PlacingZone[] =>
    zones.filter(({ id }) => contents.some(({ zone, food }) => zone === id && is(food)));
  const raw = holding(isRaw);
  const exposed = holding(isExposed);
  return {
    toRaw: new Set(zones.filter((zone) => exposed.some((below) => mayDrip(zone, below))).map(({ id }) => id)),
    toExposed: new Set(zones.filter((zone) => raw.some((above) => mayDrip(above, zone))).map(({ id }) => id)),
  };
}
