import { HOUSEHOLD_MAY } from '../../model/role';
import { addDays } from '../../calendar/calendarDate';
import type { CommandKind } from '../../model/command';
import type { Cut, Reading } from '../../model/cut';
import { type Decision, wasSet } from '../../model/decision';
import { Refusal } from '../../model/refusal';
import { type LogDay, logSubject, type Thermometer, USUAL_ALARM } from '../../model/thermometer';
import type { World } from '../../model/world';
import { readingsOfDay } from '../../powercut/logReadings';
import { rightClock } from '../../powercut/rightClock';
import { sayCelsius } from '../../powercut/sayCut';
import { type WarmSpell, warmSpell } from '../../powercut/warmSpell';
import { keptDecided } from '../settings/keptDecided';
import { drawnPart } from './beginCut';
import { cutDecided } from './cutDecided';
import { oddReading } from './oddReading';

const DAY_MS = 86_400_000;
const SECOND_MS = 1000;
/** A clock that is a little ahead is none that is wrong. */
const AHEAD_MS = 2 * 60_000;
const MOST_OLD_MS = 400 * DAY_MS;
/** The alarm looks back so many days. */
const DAYS_BEFORE = 3;
/** A compartment joins a cut that began so near to when it warmed. */
const SAME_CUT_MS = 12 * 3_600_000;

export interface ToldLog {
  /** The compartment that the thermometer stays in. */
  part: string;
  readings: Reading[];
  battery: number | null;
  /** What the thermometer's own clock shows now; `null`: its times are right. */
  itsClock: string | null;
  sure: boolean;
}

const dayOf = (at: string): string => at.slice(0, 10);

/** The days (UTC) that a log touches, and those before that its alarm looks at. */
function daysOf(readings: readonly Reading[]): string[] {
  const days = new Set<string>();
  for (const { at } of readings)
    for (let back = -1; back <= DAYS_BEFORE; back++) days.add(addDays(dayOf(at), -back));
  return [...days].sort();
}

/** Readings of one day with others put in; of two at one moment the warmer counts. */
function withReadings(day: LogDay, readings: readonly Reading[]): LogDay {
  const all = new Map(day);
  for (const { at, c } of readings) {
    const second = Math.round((Date.parse(at) % DAY_MS) / SECOND_MS);
    all.set(second, Math.max(c, all.get(second) ?? c));
  }
  return [...all].sort(([a], [b]) => a - b);
}

/** What cannot be in a log, told plainly. @throws Refusal `log`, `reading` */
function refuse(command: ToldLog, called: string, kind: 'fridge' | 'freezer', right: Reading[], now: string) {
  const [told, by] = [Date.parse(now), Date.parse(command.itsClock ?? now)];
  if (Math.abs(told - by) > DAY_MS)
    throw new Refusal(
      'log',
      `The thermometer’s clock is off by ${Math.round(Math.abs(told - by) / DAY_MS)} days: its times say nothing. Set it, and read it again.`,
    );
  const ahead = right.filter(({ at }) => Date.parse(at) > told + AHEAD_MS).length;
  if (ahead > 0)
    throw new Refusal(
      'log',
      `${ahead} of ${right.length} readings of ${called} are still to come: its clock is ahead. Say what it shows now.`,
    );
  if (right.some(({ at }) => told - Date.parse(at) > MOST_OLD_MS))
    throw new Refusal('log', `Some readings of ${called} are more than 400 days old. Are the dates right?`);
  const odd = right.flatMap(({ c }) => oddReading(called, kind, c) ?? []);
  if (odd.length > 0 && !command.sure)
    throw new Refusal('reading', `${odd.length} of ${right.length} readings are odd. ${odd[0]}`);
}

/** The cut that a warm spell begins or joins by itself, in words; `null`: there is one already, or one was ended since. */
function cutOf(world: World, part: string, spell: WarmSpell): { cut: Cut; says: string } | null {
  const its = drawnPart(world, { id: part, fill: world.fill(part), doors: 'unknown' });
  if (!its) return null;
  const from = spell.risingSince;
  const cuts = world.keptAll('cut');
  const known = cuts.some((cut) => cut.parts.some(({ id }) => id === part) && (cut.until ?? '9999') >= from);
  if (known) return null;
  const open = cuts.find(({ until }) => until === null);
  if (!open) {
    const cut: Cut = { id: world.newId(), from, until: null, closedAt: null, parts: [its] };
    return { cut, says: 'A power cut was begun by it.' };
  }
  if (Math.abs(Date.parse(open.from) - Date.parse(from)) > SAME_CUT_MS) return null;
  const cut = { ...open, from: open.from < from ? open.from : from, parts: [...open.parts, its] };
  return { cut, says: 'It joined the power cut.' };
}

/**
 * What a thermometer logged: it is kept, and where it shows that an alarm is passed, a cut is
 * begun by itself, since when the warming began. One undo takes all of it back.
 *
 * @throws Refusal `log` for times that cannot be, `reading` for odd readings, `cut` for a compartment nobody drew
 */
function addLog(command: ToldLog, world: World): Decision {
  const drawn = drawnPart(world, { id: command.part, fill: 0, doors: 'unknown' });
  if (!drawn) throw new Refusal('cut', 'That appliance is not drawn any more.');
  const { called, kind } = drawn;
  const before: Thermometer = world.kept('thermometer', command.part) ?? {
    ...{ part: command.part, alarm: USUAL_ALARM[kind] },
    ...{ battery: null, heardAt: null, lastC: null, warmSince: null },
  };
  const clock = { now: world.at, setAt: before.heardAt };
  const right = (
    command.itsClock === null
      ? command.readings
      : rightClock(command.readings, { ...clock, itsNow: command.itsClock })
  ).toSorted((a, b) => (a.at < b.at ? -1 : 1));
  refuse(command, called, kind, right, world.now);

  const touched = [...new Set(right.map(({ at }) => dayOf(at)))];
  const days = new Map(
    daysOf(right).map((day) => [day, world.kept('log-day', logSubject(command.part, day)) ?? []]),
  );
  for (const day of touched)
    days.set(
      day,
      withReadings(
        days.get(day) ?? [],
        right.filter(({ at }) => dayOf(at) === day),
      ),
    );
  const log = [...days].flatMap(([day, its]) => readingsOfDay(day, its));
  const last = log.at(-1);
  // A log of long ago says nothing of how it is now.
  const newest = last !== undefined && (before.heardAt === null || last.at >= before.heardAt);
  const spell = newest ? warmSpell(log, before.alarm) : null;
  const after: Thermometer = newest
    ? {
        ...before,
        heardAt: last.at,
        lastC: last.c,
        warmSince: spell?.since ?? null,
        battery: command.battery,
      }
    : before;
  const begun = spell && before.alarm.begins ? cutOf(world, command.part, spell) : null;
  const [coldest, warmest] = [Math.min, Math.max].map((of) => of(...right.map(({ c }) => c)));
  const many = right.length === 1 ? 'a reading' : `${right.length} readings`;
  const over = spell ? ` Over ${sayCelsius(before.alarm.aboveC)}. ` : '';
  const span =
    coldest === warmest
      ? sayCelsius(coldest ?? 0)
      : `${sayCelsius(coldest ?? 0)} to ${sayCelsius(warmest ?? 0)}`;
  const says = `Thermometer of ${called}: ${many}, ${span}.${over}${begun?.says ?? ''}`.trim();
  const decisions = [
    keptDecided(world, 'thermometer', command.part, after, says),
    ...touched.map((day) =>
      keptDecided(world, 'log-day', logSubject(command.part, day), days.get(day) ?? [], says),
    ),
    ...(begun ? [cutDecided(world, begun.cut, begun.says)] : []),
  ];
  return wasSet(...decisions.flatMap(({ settings }) => settings));
}

export const addLogCommand: CommandKind<ToldLog> = {
  type: 'log.add',
  may: HOUSEHOLD_MAY,
  needs: ({ part, readings }) => ({
    kept: ['cut', 'thermometer'],
    keptUnder: { 'log-day': daysOf(readings).map((day) => logSubject(part, day)) },
    fills: true,
  }),
  decide: addLog,
};
