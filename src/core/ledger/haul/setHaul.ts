import type { Haul } from '../../model/haul';
import { Refusal } from '../../refusal';
import type { Decision } from '../decide';
import { haulEvent, lineEvent, openHaul } from './haulWorld';
import type { World } from '../../model/world';

/** What a cook may change about an open haul. */
export type HaulChanges = Partial<
  Pick<Haul, 'name' | 'leftAt' | 'coldBag' | 'hot' | 'fastFreeze' | 'hygiene' | 'plan'>
>;

/** In a closed cold bag with ice it counts as cold until the bag is opened at the bench. */
const outSinceOf = ({ coldBag, begunAt, leftAt }: Omit<Haul, 'outSince'>): string =>
  coldBag ? begunAt : leftAt;

const MOST_DAYS = 7;
/** Clocks of phones run a little ahead. */
const AHEAD_MS = 5 * 60_000;

/** An instant that a clock running a little ahead has put after now, taken for now; any other as it is. */
export function notAhead(leftAt: string, { at, now }: Pick<World, 'at' | 'now'>): string {
  const latest = at > now ? at : now;
  const ahead = Date.parse(leftAt) - Date.parse(latest);
  return ahead > 0 && ahead <= AHEAD_MS ? latest : leftAt;
}

/** When a haul, or a line of it, left the cold: not after now, and not so long ago that it is no haul. @throws Refusal `haul` */
export function checkLeft(leftAt: string, world: Pick<World, 'at' | 'now'>): void {
  const at = Date.parse(leftAt);
  if (at > Date.parse(world.at) && at > Date.parse(world.now)) {
    throw new Refusal('haul', 'It cannot have left the cold after now.');
  }
  if (at < Date.parse(world.at) - MOST_DAYS * 86_400_000) {
    throw new Refusal('haul', `It cannot have been out of the cold for more than ${MOST_DAYS} days.`);
  }
}

/** A haul as it is begun. */
export type NewHaul = Omit<Haul, 'closedAt' | 'begunAt' | 'outSince'>;

/** Begins a haul. @throws Refusal `haul` when its id is in use, another is open, or it left the cold after now */
export function beginHaul({ haul }: { haul: NewHaul }, world: World): Decision {
  if (world.haul(haul.id)) throw new Refusal('haul', 'That haul was begun already.');
  const open = world.openHaul();
  if (open) throw new Refusal('haul', `${open.name} is still open: put it away or close it first.`);
  const leftAt = notAhead(haul.leftAt, world);
  checkLeft(leftAt, world);
  const told = { ...haul, leftAt, begunAt: world.at, closedAt: null };
  const begun: Haul = { ...told, outSince: outSinceOf(told) };
  return { lots: [], events: [], settings: [haulEvent('haul.begun', null, begun, `Began ${begun.name}.`)] };
}

/**
 * Changes an open haul. When it left the cold earlier or later, or came in a cold bag after all, the clocks of the lines that
 * ran by it follow.
 *
 * @throws Refusal `haul`
 */
export function setHaul(command: { haul: string; changes: HaulChanges }, world: World): Decision {
  const before = openHaul(world, command.haul);
  const { leftAt = before.leftAt } = command.changes;
  const told = { ...before, ...command.changes, leftAt: notAhead(leftAt, world) };
  const after = { ...told, outSince: outSinceOf(told) };
  if (after.name.trim() === '') throw new Refusal('haul', 'A haul needs a name.');
  if (after.leftAt !== before.leftAt) checkLeft(after.leftAt, world);
  const says = command.changes.plan ? `The places of ${after.name} are told.` : `${after.name} was changed.`;
  const follow =
    after.outSince === before.outSince
      ? []
      : world
          .haulLines(before.id)
          .filter((line) => line.packages === null && line.outSince === before.outSince)
          .map((line) =>
            lineEvent(
              'haul.line',
              line,
              { ...line, outSince: after.outSince, version: line.version + 1 },
              `${line.called} has been out since ${after.outSince.slice(11, 16)} UTC.`,
            ),
          );
  return {
    lots: [],
    events: [],
    settings: [haulEvent('haul.set', before, after, says), ...follow],
  };
}

/** Closes a haul whose lines are all packed. @throws Refusal `haul` naming what is not */
export function closeHaul(command: { haul: string }, world: World): Decision {
  const before = openHaul(world, command.haul);
  const open = world.haulLines(before.id).filter(({ packages }) => packages === null);
  if (open.length > 0) {
    const names = open.slice(0, 4).map(({ called }) => called);
    const more = open.length > names.length ? ` and ${open.length - names.length} more` : '';
    throw new Refusal('haul', `Not packed yet: ${names.join(', ')}${more}.`);
  }
  const after = { ...before, closedAt: world.at };
  return {
    lots: [],
    events: [],
    settings: [haulEvent('haul.closed', before, after, `Finished ${before.name}.`)],
  };
}
