import { HOUSEHOLD_MAY } from '../../model/role';
import { Refusal } from '../../model/refusal';
import { freezePackage } from '../package/freezePackage';
import { keepOutPackage } from '../package/keepOutPackage';
import { moveTo } from '../package/moveTo';
import { thawPackage } from '../package/thawPackage';
import type { LedgerEvent } from '../../model/package';
import { presentPackage } from '../package/presentPackage';
import { type World } from '../../model/world';
import { warnedNote } from '../package/zoneFault';
import type { CommandKind } from '../../model/command';
import { happened } from '../../model/decision';

/** Where a package goes: a zone, or `null`: it is kept out of the cold by design. */
export interface PutAway {
  package: string;
  version: number;
  zone: string | null;
  /** What speaks against the place, when the cook chose it all the same; it stays on the package. */
  warning?: string;
}

/**
 * Puts packages of a haul away: into a fridge zone, frozen into a freezer zone, or kept out. Minutes on the counter are
 * counted, for two each above 32 °C. All of them or none.
 *
 * @throws Refusal with the rule, or StaleVersion
 */
function putAway(command: { haul: string; places: PutAway[] }, world: World): LedgerEvent[] {
  const haul = world.haul(command.haul);
  if (!haul) throw new Refusal('haul', 'There is no such haul.');
  const there: World = { ...world, hot: haul.hot };
  return command.places.flatMap((place) => warned(putOne(place, there).map(asLabelled), place.warning ?? ''));
}

/** Its label was printed for where it goes. */
const asLabelled = (event: LedgerEvent): LedgerEvent =>
  event.after.labelled === undefined
    ? event
    : { ...event, after: { ...event.after, labelled: event.after.governingDate } };

function warned(events: LedgerEvent[], warning: string): LedgerEvent[] {
  if (warning === '') return events;
  return events.map((event) => ({
    ...event,
    after: { ...event.after, note: warnedNote(event.after.note, warning) },
  }));
}

function putOne(place: PutAway, there: World): LedgerEvent[] {
  const before = presentPackage(there, place.package, place.version);
  if (before.zoneId !== null) {
    throw new Refusal('haul', `${before.called} ${before.code} is put away already.`);
  }
  if (place.zone === null) return keepOutPackage(place, there);
  const zone = there.zone(place.zone);
  // The cook was told what speaks against it and chose it all the same.
  const anyway = (place.warning ?? '') !== '';
  if (zone.cold === 'freezer' && before.state !== 'frozen') {
    return freezePackage({ ...place, zone: zone.id, anyway }, there);
  }
  if (zone.cold === 'fridge' && before.state === 'frozen') {
    return thawPackage({ ...place, zone: zone.id, anyway, method: 'fridge' }, there);
  }
  return [moveTo(before, zone.id, there, anyway)];
}

export const putAwayCommand: CommandKind<{ haul: string; places: PutAway[] }> = {
  type: 'haul.away',
  may: HOUSEHOLD_MAY,
  needs: ({ haul, places }) => ({ hauls: [haul], packages: places.map((place) => place.package) }),
  decide: (command, world) => happened(putAway(command, world)),
  says: ({ events }) =>
    events.length > 1 ? `Put away ${events.length} packages.` : (events[0]?.says ?? 'Nothing changed.'),
};
