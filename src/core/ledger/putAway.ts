import { Refusal } from '../refusal';
import { freezePackage, keepOutPackage, moveTo } from './changePackage';
import type { LedgerEvent } from './package';
import { presentPackage, type World } from './world';

/** Where a package goes: a zone, or `null`: it is kept out of the cold by design. */
export interface PutAway {
  package: string;
  version: number;
  zone: string | null;
}

/**
 * Puts packages of a haul away: into a fridge zone, frozen into a freezer zone, or kept out. Minutes on the counter are
 * counted, for two each above 32 °C. All of them or none.
 *
 * @throws Refusal with the rule, or StaleVersion
 */
export function putAway(command: { haul: string; places: PutAway[] }, world: World): LedgerEvent[] {
  const haul = world.haul(command.haul);
  if (!haul) throw new Refusal('haul', 'There is no such haul.');
  const there: World = { ...world, hot: haul.hot };
  return command.places.flatMap((place): LedgerEvent[] => {
    const before = presentPackage(world, place.package, place.version);
    if (before.zoneId !== null) {
      throw new Refusal('haul', `${before.called} ${before.code} is put away already.`);
    }
    if (place.zone === null) return keepOutPackage(place, there);
    const zone = world.zone(place.zone);
    return zone.cold === 'freezer' && before.state !== 'frozen'
      ? freezePackage({ ...place, zone: zone.id }, there)
      : [moveTo(before, zone.id, there)];
  });
}
