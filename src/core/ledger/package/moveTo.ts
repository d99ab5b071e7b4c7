import type { HistoryEvent } from '../../model/history';
import { Refusal } from '../../model/refusal';
import { counterOf, warmthOf } from './judgePackage';
import { withEvents } from './withEvents';
import type { LedgerEvent, Package } from '../../model/package';
import type { World } from '../../model/world';
import { admitTo, warnedNote } from './zoneFault';

/**
 * The event of a package that goes to a zone, or out on the counter. Minutes on the counter are added up (K10), a zone of
 * another temperature changes how fast its clocks run (K9).
 *
 * @param anyway whatever the household's own rules say of the zone
 * @throws Refusal `place` when the move would freeze or thaw it, P1 or P4 when the zone is not for it
 */
export function moveTo(before: Package, zoneId: string | null, world: World, anyway = false): LedgerEvent {
  const name = before.called;
  if (zoneId === null) {
    const after = { ...before, zoneId: null, counterSince: world.at, version: before.version + 1 };
    return { type: 'package.moved', before, after, says: `${name} ${before.code} is on the counter.` };
  }
  const zone = world.zone(zoneId);
  if (zone.cold === 'freezer' && before.state !== 'frozen') {
    throw new Refusal('place', `${zone.name} is in a freezer: choose “freeze” for that.`);
  }
  if (zone.cold === 'fridge' && before.state === 'frozen') {
    throw new Refusal('place', `${zone.name} is in a fridge: choose “move down to thaw” for that.`);
  }
  const warning = admitTo(zone, world.food(before.foodId), anyway);
  const warmth = warmthOf(zone, before.celsius, world.today);
  const back: HistoryEvent[] =
    before.state === 'room' && warmth.length === 0
      ? [{ did: 'moved', on: world.today, c: zone.temperatureC }]
      : warmth;
  const events = [...counterOf(before, world), ...back];
  const after = withEvents(before, events, world, {
    zoneId: zone.id,
    counterSince: null,
    note: warnedNote(before.note, warning),
  });
  const says = `${name} ${before.code} moved to ${zone.name}, ${zone.applianceName}.`;
  return { type: 'package.moved', before, after, says };
}
