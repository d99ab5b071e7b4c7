import { checkDrawing } from '../../kitchen/checkDrawing';
import type { ApplianceDrawing } from '../../model/drawing';
import { Refusal } from '../../refusal';
import { moveTo, warmAround } from '../package/moveTo';
import type { Rehoming } from '../../model/command';
import type { Decision } from '../decide';
import type { LedgerEvent, Package } from '../../model/package';
import type { Setting, SettingEvent } from '../../model/setting';
import { withSetting } from '../settings/withSetting';
import { StaleSetting, type World } from '../../model/world';

const sayCount = (count: number): string => `${count} ${count === 1 ? 'package lies' : 'packages lie'}`;

/** Moves what lies in zones that are drawn no more. @throws Refusal `place` when nobody said where to */
function rehomed(
  gone: ReadonlyMap<string, string>,
  lying: readonly Package[],
  rehome: readonly Rehoming[],
  after: World,
): LedgerEvent[] {
  const to = new Map(rehome.map((one) => [one.zone, one.to]));
  return lying.flatMap((found) => {
    const name = gone.get(found.zoneId ?? '');
    if (found.zoneId === null || name === undefined) return [];
    const target = to.get(found.zoneId);
    if (target === undefined || (target !== null && !after.hasZone(target))) {
      const count = lying.filter(({ zoneId }) => zoneId === found.zoneId).length;
      throw new Refusal(
        'place',
        `${sayCount(count)} in ${name}. Say where they go before it is taken out of the drawing.`,
      );
    }
    return [moveTo(found, target, after, true)];
  });
}

/** What was measured in zones that go, kept in the ledger so that it comes back with them. */
function forgotten(gone: ReadonlyMap<string, string>, world: World): SettingEvent[] {
  return [...gone].flatMap(([id, name]): SettingEvent[] => {
    const value = world.measured(id);
    if (value === null) return [];
    return [
      {
        type: 'zone.measured',
        before: { kind: 'measured', subject: id, value },
        after: { kind: 'measured', subject: id, value: null },
        says: `${name} is drawn no more; it was at ${String(value.celsius).replace('-', '−')} °C.`,
      },
    ];
  });
}

function sayDrawn(before: ApplianceDrawing | null, { name, zones }: ApplianceDrawing): string {
  const count = `${zones.length} ${zones.length === 1 ? 'zone' : 'zones'}`;
  return before ? `${name} is drawn anew, with ${count}.` : `${name} is in the kitchen, with ${count}.`;
}

/**
 * Draws an appliance: a new one, or one there is otherwise. What lies in zones that go must be given a place; what lies
 * in a zone that grows warmer or colder is dated by that.
 *
 * @throws Refusal D1 to D6 with the measure that is wrong, `place` for packages left without a zone
 * @throws StaleSetting when somebody drew it in the meantime
 */
export function drawAppliance(
  command: { appliance: ApplianceDrawing; version: number | null; rehome: Rehoming[] },
  world: World,
): Decision {
  const drawing = command.appliance;
  const before = world.appliance(drawing.id);
  if ((before?.version ?? null) !== command.version) throw new StaleSetting(drawing.name);
  const [fault] = checkDrawing(drawing);
  if (fault) throw new Refusal(fault.rule, fault.says);
  const mine = new Set(before?.drawing.zones.map(({ id }) => id));
  const foreign = drawing.zones.find(({ id }) => !mine.has(id) && world.hasZone(id));
  if (foreign) throw new Refusal('D5', `${foreign.name} belongs to another appliance.`);
  const setting: Setting = { kind: 'appliance', subject: drawing.id, value: drawing };
  const after = withSetting(world, setting);
  const lying = world.loaded();
  const kept = new Set(drawing.zones.map(({ id }) => id));
  const gone = new Map(
    before?.drawing.zones.filter(({ id }) => !kept.has(id)).map(({ id, name }) => [id, name]),
  );
  const moved = rehomed(gone, lying, command.rehome, after);
  const warmed = lying.flatMap((found) => {
    if (found.zoneId === null || !kept.has(found.zoneId)) return [];
    const zone = after.zone(found.zoneId);
    if (zone.cold !== world.zone(found.zoneId).cold) {
      throw new Refusal('place', `${zone.name} cannot become a ${zone.cold} zone while food lies in it.`);
    }
    return warmAround(found, zone, after) ?? [];
  });
  return {
    lots: [],
    events: [...moved, ...warmed],
    settings: [
      {
        type: 'appliance.drawn',
        before: before && { kind: 'appliance', subject: drawing.id, value: before.drawing },
        after: setting,
        says: sayDrawn(before?.drawing ?? null, drawing),
      },
      ...forgotten(gone, world),
    ],
  };
}

/** Takes an appliance out of the kitchen. @throws Refusal `place` for packages left without a zone, or when it is not there */
export function removeAppliance(command: { appliance: string; rehome: Rehoming[] }, world: World): Decision {
  const before = world.appliance(command.appliance);
  if (!before) throw new Refusal('place', 'There is no such appliance any more.');
  const { drawing } = before;
  const setting: Setting = { kind: 'appliance', subject: drawing.id, value: null };
  const gone = new Map(drawing.zones.map(({ id, name }) => [id, name]));
  return {
    lots: [],
    events: rehomed(gone, world.loaded(), command.rehome, withSetting(world, setting)),
    settings: [
      {
        type: 'appliance.removed',
        before: { kind: 'appliance', subject: drawing.id, value: drawing },
        after: setting,
        says: `${drawing.name} is out of the kitchen.`,
      },
      ...forgotten(gone, world),
    ],
  };
}

/** Puts the appliances into another order. @throws Refusal `order` when it does not name each of them once */
export function orderKitchen(command: { appliances: string[] }, world: World): Decision {
  const before = world.order();
  if ([...command.appliances].sort().join() !== [...before].sort().join()) {
    throw new Refusal('order', 'The order must name every appliance once.');
  }
  return {
    lots: [],
    events: [],
    settings: [
      {
        type: 'kitchen.ordered',
        before: { kind: 'order', subject: '', value: before },
        after: { kind: 'order', subject: '', value: command.appliances },
        says: 'The appliances stand in another order.',
      },
    ],
  };
}
