import { GUESTS_MAY } from '../../model/role';
import type { KeptKind } from '../../model/kept';
import { dequal } from 'dequal';
import { Refusal } from '../../model/refusal';
import { comeBack } from './comeBack';
import type { LedgerEvent, Package } from '../../model/package';
import { redatePackages } from '../package/redatePackages';
import type { Setting, SettingEvent } from '../../model/setting';
import { withSetting } from '../settings/withSetting';
import type { World } from '../../model/world';
import type { CommandKind, Needs } from '../../model/command';
import type { Decision, Meanwhile, PastCommand } from '../../model/decision';
import { settingKind } from '../settings/settingKinds';

/** The world without the readings that the command itself brought: they are undone with it. */
function withoutReadings(world: World, { settings }: PastCommand): World {
  const brought = settings.flatMap(({ after }) =>
    (after.kind === 'measured' || after.kind === 'reading') && after.value
      ? [`${after.subject} ${after.value.at}`]
      : [],
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

function undoSetting(past: SettingEvent, says: string, world: World): SettingEvent {
  const { kind, subject, value } = past.after;
  const { read, stays, whenNone } = settingKind(past.after);
  if (!dequal(read(world, subject, value), value)) {
    throw new Refusal('undo', 'It was set to something else since; undo that first.');
  }
  const why = stays?.(world, subject, past);
  if (why) throw new Refusal('undo', why);
  return {
    type: 'setting.undone',
    before: past.after,
    after:
      past.before ?? ({ kind, subject, value: whenNone?.(value) ?? (whenNone ? null : value) } as Setting),
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
function undoCommand(past: PastCommand | null, world: World, meanwhile: Meanwhile = 'out'): Decision {
  if (past === null) throw new Refusal('undo', 'There is no such command.');
  if (past.undone) throw new Refusal('undo', 'That was undone already.');
  // A zone must be drawn again before what was measured in it comes back.
  const drawnFirst = [...past.settings]
    .reverse()
    .sort((a, b) => Number(b.after.kind === 'appliance') - Number(a.after.kind === 'appliance'));
  const settings = drawnFirst.map((event) => undoSetting(event, past.says, world));
  const back = settings.reduce((so, { after }) => withSetting(so, after), withoutReadings(world, past));
  if (settings.some(({ after }) => settingKind(after).dates)) {
    return { lots: [], events: redatePackages(world.loaded(), back), settings };
  }
  const events = [...past.events]
    .reverse()
    .map((event) => undoEvent(event, past.says, back, meanwhile))
    .map((event) => ({ ...event, after: withoutPastPromises(event.after, back) }));
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

/** What was promised to a meal that is not planned any more does not come back with the package. */
function withoutPastPromises(found: Package, world: World): Package {
  const { promised } = found;
  if (promised === undefined || promised.length === 0) return found;
  return { ...found, promised: promised.filter(({ meal }) => world.kept('meal', meal)?.state === 'planned') };
}

/** A package without its minutes out of the cold and what they do to its dates: those stay, whatever is undone. */
function withoutStays({ history, ...found }: Package): object {
  return {
    ...found,
    ...{ version: 0, counterSince: '', counterMinutes: 0, trail: [], condemned: false },
    ...{ useBy: '', bestBy: '', governingDate: '', governingKind: '' },
    history: history.filter(({ did }) => did !== 'counter'),
  };
}

/**
 * True when two images differ in nothing but the version: what came between was itself undone. On the counter in both, only the minutes
 * may differ: it was put back, that was undone, and it stands there again.
 */
function sameState(a: Package, b: Package): boolean {
  if (dequal({ ...a, version: 0 }, { ...b, version: 0 })) return true;
  const out = [a, b].every(({ gone, counterSince }) => gone === null && counterSince !== null);
  return out && dequal(withoutStays(a), withoutStays(b));
}

function sayNow(now: Package): string {
  if (now.gone) return now.gone.how;
  return now.counterSince === null ? now.state : 'on the counter';
}

interface Undo {
  /** The id of the command to undo. */
  command: string;
  meanwhile: Meanwhile;
}

/** All that several needs name, together. */
function together(needs: readonly Needs[]): Needs {
  const named = (key: 'zones' | 'appliances' | 'hauls' | 'lines' | 'codes'): string[] =>
    needs.flatMap((one) => one[key] ?? []);
  const under = needs.flatMap(({ keptUnder = {} }) => Object.entries(keptUnder));
  const all = needs.some(({ foods }) => foods === 'all');
  return {
    foods: all ? 'all' : needs.flatMap(({ foods }) => (foods === 'all' ? [] : (foods ?? []))),
    zones: named('zones'),
    appliances: named('appliances'),
    hauls: named('hauls'),
    lines: named('lines'),
    codes: named('codes'),
    kept: [...new Set<KeptKind>(['meal', ...needs.flatMap(({ kept }) => kept ?? [])])],
    keptUnder: Object.fromEntries(
      under.map(([kind]) => [kind, under.flatMap(([one, subjects]) => (one === kind ? subjects : []))]),
    ),
    jobs: needs.some(({ jobs }) => jobs),
    containers: needs.some(({ containers }) => containers),
  };
}

export const undoCommandCommand: CommandKind<Undo> = {
  type: 'ledger.undo',
  may: GUESTS_MAY,
  pastOf: ({ command }) => command,
  needs: (_undo, past) => ({
    ...together((past?.settings ?? []).map(({ after }) => settingKind(after).needs(after.subject))),
    packages: (past?.events ?? []).map(({ after }) => after.id),
    readingsOf: (past?.events ?? []).flatMap(({ before }) => before?.zoneId ?? []),
  }),
  decide: ({ meanwhile }, world, past) => undoCommand(past, world, meanwhile),
};
