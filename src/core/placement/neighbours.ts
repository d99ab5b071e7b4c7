import { isExposed, isRaw, type PlacedFood, type PlacingZone } from './placing';

const isDoor = ({ kind }: PlacingZone): boolean => kind === 'door';
/** A drawer is shut by what is above it: the lowest shelf over the crisper is the place for raw meat, on a plate. */
const isShut = ({ kind }: PlacingZone): boolean => kind === 'drawer' || kind === 'bin';

/**
 * True when raw juice in `raw` could reach what lies in `exposed`: in the same zone, or below it in one closed room, unless a leak-proof
 * tray holds the juice or a closed drawer what lies below. A door rack is below no shelf, nor above one.
 */
export function mayDrip(raw: PlacingZone, exposed: PlacingZone): boolean {
  if (raw.id === exposed.id) return true;
  if (raw.appliance !== exposed.appliance || raw.compartment !== exposed.compartment) return false;
  if (isDoor(raw) !== isDoor(exposed) || raw.leakproof || isShut(exposed)) return false;
  return raw.order < exposed.order;
}

/** Zones that what lies there already shuts to raw food, and zones that it shuts to food raw juice must not reach (P3). */
export function shutByContents(
  zones: readonly PlacingZone[],
  contents: readonly PlacedFood[],
): { toRaw: ReadonlySet<string>; toExposed: ReadonlySet<string> } {
  const holding = (is: (one: PlacedFood) => boolean): PlacingZone[] =>
    zones.filter(({ id }) => contents.some((one) => one.zone === id && is(one)));
  const raw = holding(({ food }) => isRaw(food));
  const exposed = holding(isExposed);
  return {
    toRaw: new Set(zones.filter((zone) => exposed.some((below) => mayDrip(zone, below))).map(({ id }) => id)),
    toExposed: new Set(zones.filter((zone) => raw.some((above) => mayDrip(above, zone))).map(({ id }) => id)),
  };
}
