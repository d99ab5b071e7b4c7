import { dequal } from 'dequal';
import { NO_WISH } from '../../foods/wish';
import { Refusal } from '../../refusal';
import { comeBack, type Meanwhile } from './comeBack';
import type { Decision } from '../decide';
import type { LedgerEvent, Package } from '../../model/package';
import { redatePackages } from '../package/redatePackages';
import type { Setting, SettingEvent } from '../../model/setting';
import { withSetting } from '../settings/withSetting';
import type { World } from '../../model/world';

/** Settings that date packages anew, rather than moving them. */
const REDATES: readonly Setting['kind'][] = ['household', 'wish', 'food'];

/** What is known of the command that is to be undone. */
export interface PastCommand {
  says: string;
  /** When it happened, ISO 8601 UTC. */
  at: string;
  /** True when an undo of it stands. */
  undone: boolean;
  /** In the order they happened. */
  events: readonly { before: Package | null; after: Package }[];
  settings: readonly SettingEvent[];
}

/** The world without the readings that the command itself brought: they are undone with it. */
function withoutReadings(world: World, { settings }: PastCommand): World {
  const brought = settings.flatMap(({ after }) =>
    after.kind === 'measured' && after.value ? [`${after.subject} ${after.value.at}`] : [],
  );
  return {
    ...world,
    readings: (zone) => world.readings(zone).filter(({ at }) => !brought.includes(`${zone} ${at}`)),
  };
}

function undoEvent(
  { before, after }: PastCommand['events'][number],
  says: string,
  world: World,
  meanwhile: Meanwhile,
): LedgerEvent {
  const now = world.package(after.id);
  if (!sameState(now, after)) {
    throw new Refusal('undo', `${now.code} has changed since (${sayNow(now)}); undo that first.`);
  }
  const version = now.version + 1;
  const restored: Package = before
    ? comeBack(before, now, world, meanwhile)
    : {
        ...now,
        gone: { how: 'undone', on: now.startOn, reason: null },
        zoneId: null,
        counterSince: null,
        version,
      };
  return { type: 'package.undone', before: now, after: restored, says: `Undone: ${says}` };
}

/** How a setting stands now. */
function presentSetting({ kind, subject }: Setting, world: World): Setting['value'] {
  switch (kind) {
    case 'household':
      return world.settings;
    case 'food': {
      const { food, retired } = world.referenceFood(subject);
      return { food, retired };
    }
    case 'wish':
      return world.wish(subject);
    case 'job':
      return world.job(subject);
    case 'appliance':
      return world.appliance(subject)?.drawing ?? null;
    case 'order':
      return world.order();
    case 'measured':
      return world.measured(subject);
    case 'container':
      return world.container(subject);
    case 'haul':
      return world.haul(subject);
    case 'haul-line':
      return world.haulLine(subject);
    case 'code':
      return world.learnedCode(subject);
  }
}

/** What a setting goes back to when there was none before it. */
function beforeIt(after: Setting): Setting {
  switch (after.kind) {
    case 'food':
      return { ...after, value: { ...after.value, retired: true } };
    case 'job':
      return { ...after, value: { ...after.value, retired: true } };
    case 'wish':
      return { ...after, value: NO_WISH };
    case 'appliance':
    case 'measured':
    case 'container':
    case 'haul':
    case 'haul-line':
    case 'code':
      return { ...after, value: null };
    case 'household':
    case 'order':
      return after;
  }
}

function undoSetting(past: SettingEvent, says: string, world: World): SettingEvent {
  const now = presentSetting(past.after, world);
  if (!dequal(now, past.after.value)) {
    throw new Refusal('undo', 'It was set to something else since; undo that first.');
  }
  if (past.after.kind === 'haul' && past.before === null && world.haulLines(past.after.subject).length > 0) {
    throw new Refusal('undo', 'There are lines in this haul already; take them off first.');
  }
  return {
    type: 'setting.undone',
    before: past.after,
    after: past.before ?? beforeIt(past.after),
    says: `Undone: ${says}`,
  };
}

/**
 * Derives the undo of a command from its before-images, last event first. What changed since stays as it is and the whole
 * undo is refused, with the reason. What was set goes back, and the packages are dated by it anew. What comes back is judged
 * by today (see {@link comeBack}): an undo never loosens.
 *
 * @throws Refusal `undo`, or `meanwhile`
 */
export function undoCommand(past: PastCommand | null, world: World, meanwhile: Meanwhile = 'out'): Decision {
  if (past === null) throw new Refusal('undo', 'There is no such command.');
  if (past.undone) throw new Refusal('undo', 'That was undone already.');
  // A zone must be drawn again before what was measured in it comes back.
  const drawnFirst = [...past.settings]
    .reverse()
    .sort((a, b) => Number(b.after.kind === 'appliance') - Number(a.after.kind === 'appliance'));
  const settings = drawnFirst.map((event) => undoSetting(event, past.says, world));
  const back = settings.reduce((so, { after }) => withSetting(so, after), withoutReadings(world, past));
  if (settings.some(({ after }) => REDATES.includes(after.kind))) {
    return { lots: [], events: redatePackages(world.loaded(), back), settings };
  }
  const events = [...past.events].reverse().map((event) => undoEvent(event, past.says, back, meanwhile));
  const moved = new Map(events.map(({ after }) => [after.id, after]));
  for (const found of [...world.loaded().map((one) => moved.get(one.id) ?? one), ...moved.values()]) {
    if (found.gone === null && found.zoneId !== null && !back.hasZone(found.zoneId)) {
      throw new Refusal(
        'undo',
        `${found.called} ${found.code} would lie in a zone that is drawn no more; move it first.`,
      );
    }
  }
  return { lots: [], events, settings };
}

/** True when two images differ in nothing but the version: what came between was itself undone. */
function sameState(a: Package, b: Package): boolean {
  return dequal({ ...a, version: 0 }, { ...b, version: 0 });
}

function sayNow(now: Package): string {
  if (now.gone) return now.gone.how;
  return now.counterSince === null ? now.state : 'on the counter';
}
