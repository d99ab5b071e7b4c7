import type { HistoryEvent, ThawMethod } from '../../model/history';
import { Refusal } from '../../refusal';
import { coldOf, counterOf, warmthOf, withEvents } from './judgePackage';
import type { LedgerEvent, Package, Zone } from '../../model/package';
import { refuseLate } from './whyUnfit';
import { presentPackage, type World } from '../../model/world';
import { admitTo, warnedNote } from './zoneFault';

interface OnPackage {
  package: string;
  version: number;
}

/** A zone that goes against the household's own rules was chosen all the same. */
interface Placing {
  anyway?: boolean;
}

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

/** Puts a package into a zone, or out on the counter. @throws Refusal `place` as `moveTo`, or when it lies there already */
export function movePackage(
  command: OnPackage & Placing & { zone: string | null },
  world: World,
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const kept = before.state === 'room' && before.counterSince === null;
  if (command.zone === before.zoneId && !kept) throw new Refusal('place', 'It lies there already.');
  return [moveTo(before, command.zone, world, command.anyway)];
}

/** The event of a zone growing warmer or colder around a package (K9); `null` when its clocks run as before. */
export function warmAround(before: Package, zone: Zone, world: World): LedgerEvent | null {
  const warmth = warmthOf(zone, before.celsius, world.today);
  if (warmth.length === 0) return null;
  const after = withEvents(before, warmth, world);
  const says = `${zone.name} is at ${String(zone.temperatureC).replace('-', '−')} °C; ${before.called} ${before.code} is dated by that.`;
  return { type: 'package.redated', before, after, says };
}

/** Opens a package (K4). @throws Refusal when it is open already */
export function openPackage(command: OnPackage, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const after = withEvents(before, [{ did: 'opened', on: world.today }], world);
  return [{ type: 'package.opened', before, after, says: `Opened ${before.called} ${before.code}.` }];
}

/** Freezes a package into a freezer zone (K5), or again after thawing (K8). @throws Refusal with the rule */
export function freezePackage(command: OnPackage & Placing & { zone: string }, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const zone = world.zone(command.zone);
  if (zone.cold !== 'freezer') throw new Refusal('place', `${zone.name} is not in a freezer.`);
  refuseLate(before, world);
  const warning = admitTo(zone, world.food(before.foodId), command.anyway ?? false);
  const again = before.history.some(({ did }) => did === 'thawing' || did === 'thawed');
  const after = withEvents(
    before,
    [...counterOf(before, world), { did: again ? 'refrozen' : 'frozen', on: world.today, ...coldOf(zone) }],
    world,
    {
      zoneId: zone.id,
      counterSince: null,
      wrap: before.wrap ?? 'zip-bag',
      note: warnedNote(before.note, warning),
    },
  );
  return [
    { type: 'package.frozen', before, after, says: `Froze ${before.called} ${before.code} in ${zone.name}.` },
  ];
}

/**
 * Moves a package down to thaw in a fridge zone (K7), or thaws it by a quick method onto the counter (K6).
 *
 * @throws Refusal when it is not frozen, or the method is not for this food
 */
export function thawPackage(
  command: OnPackage & Placing & { method: ThawMethod; zone: string | null },
  world: World,
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const name = before.called;
  if (command.method !== 'fridge') {
    const events: HistoryEvent[] = [
      ...counterOf(before, world),
      { did: 'thawed', on: world.today, method: command.method },
    ];
    const after = withEvents(before, events, world, { zoneId: null, counterSince: world.at });
    return [
      { type: 'package.thawed', before, after, says: `${name} ${before.code} thawed; it is on the counter.` },
    ];
  }
  if (before.state === 'thawing') {
    const after = withEvents(before, [{ did: 'thawed', on: world.today, method: 'fridge' }], world);
    return [{ type: 'package.thawed', before, after, says: `${name} ${before.code} is thawed.` }];
  }
  if (command.zone === null) throw new Refusal('place', 'Which fridge zone shall it thaw in?');
  const zone = world.zone(command.zone);
  if (zone.cold !== 'fridge') throw new Refusal('place', `${zone.name} is not in a fridge.`);
  const warning = admitTo(zone, world.food(before.foodId), command.anyway ?? false);
  const after = withEvents(
    before,
    [...counterOf(before, world), { did: 'thawing', on: world.today, ...coldOf(zone) }],
    world,
    { zoneId: zone.id, counterSince: null, note: warnedNote(before.note, warning) },
  );
  return [
    {
      type: 'package.thawed',
      before,
      after,
      says: `${name} ${before.code} moved down to ${zone.name} to thaw.`,
    },
  ];
}

/** Keeps a package out of the cold by design (state "room"). @throws Refusal K10 for what belongs in the cold */
export function keepOutPackage(command: OnPackage, world: World): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  refuseLate(before, world);
  const events: HistoryEvent[] = [...counterOf(before, world), { did: 'kept-out', on: world.today }];
  const after = withEvents(before, events, world, { zoneId: null, counterSince: null });
  return [
    {
      type: 'package.moved',
      before,
      after,
      says: `${before.called} ${before.code} is kept out of the cold.`,
    },
  ];
}

/** What a round found (K12): turning, or bad. It may only bring the date forward. */
export function findPackage(
  command: OnPackage & { finding: 'turning' | 'bad' },
  world: World,
): LedgerEvent[] {
  const before = presentPackage(world, command.package, command.version);
  const did = command.finding === 'bad' ? 'found-bad' : 'found-turning';
  const after = withEvents(before, [{ did, on: world.today }], world);
  const says = `${before.called} ${before.code} was found ${command.finding}.`;
  return [{ type: 'package.found', before, after, says }];
}
