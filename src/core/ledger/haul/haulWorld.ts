import type { Haul, HaulLine } from '../../model/haul';
import { Refusal } from '../../model/refusal';
import type { Setting, SettingEvent } from '../../model/setting';
import { StaleSetting } from '../../model/stale';
import { type World } from '../../model/world';

/** An open haul. @throws Refusal `haul` when it is not there or was put away */
export function openHaul(world: World, id: string): Haul {
  const haul = world.haul(id);
  if (!haul) throw new Refusal('haul', 'There is no such haul.');
  if (haul.closedAt !== null) {
    throw new Refusal('haul', `${haul.name} was put away already. Begin a new haul.`);
  }
  return haul;
}

/** A line as the cook saw it. @throws Refusal `haul`, or StaleSetting when somebody changed it since */
export function presentLine(world: World, id: string, version: number): HaulLine {
  const line = world.haulLine(id);
  if (!line) throw new Refusal('haul', 'That line is not in the haul any more.');
  if (line.version !== version) throw new StaleSetting(line.called || 'this line');
  return line;
}

export function haulEvent(
  type: SettingEvent['type'],
  before: Haul | null,
  after: Haul,
  says: string,
): SettingEvent {
  const setting = (value: Haul): Setting => ({ kind: 'haul', subject: after.id, value });
  return { type, before: before && setting(before), after: setting(after), says };
}

export function lineEvent(
  type: SettingEvent['type'],
  before: HaulLine | null,
  after: HaulLine | null,
  says: string,
): SettingEvent {
  const subject = (after ?? before)?.id ?? '';
  const setting = (value: HaulLine | null): Setting => ({ kind: 'haul-line', subject, value });
  return { type, before: before && setting(before), after: setting(after), says };
}
