import { householdOfCalendar } from '../keys/calendarKeys';
import { createHash } from 'node:crypto';
import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import { addDays } from '@/core/calendar/calendarDate';
import { dateInZone } from '@/core/calendar/dateInZone';
import { instantInZone } from '@/core/calendar/instantInZone';
import { retellAll } from '@/core/units/retell';
import { sayAmount } from '@/core/units/sayAmount';
import { sql, transaction } from '@/store/database';
import { type FeedDay, lockFeedDays, putFeedDay, readTold } from '@/store/feed';
import { type ToldNow, toldNow } from './toldNow';
import { inHousehold } from '../household/chosen';
import { keptThawSteps } from '../meals/thawSteps';
import { viewContext } from '../household/context';
import { Problem } from '../door/problem';
import { publicUrl } from './publicUrl';

/** How far ahead the calendar tells, in days. */
const AHEAD_DAYS = 60;
const MOST_TOLD = 20_000;
const MOST_LINES = 40;
const ENTRY_MS = 15 * 60_000;

/** What one day's entry says. */
interface Entry {
  day: string;
  summary: string;
  description: string;
}

type Told = 'out' | 'thaw' | 'last' | 'planned' | 'near';

const TOLD_WORDS: Record<Told, string> = {
  out: 'past, to be looked at or thrown out',
  thaw: 'to be moved down to thaw',
  last: 'last day',
  planned: 'to be answered',
  near: 'coming near',
};
const TOLD_ORDER = Object.keys(TOLD_WORDS) as Told[];

/** The days on which a package raises a heads-up from today on, and which it is. */
function daysOf(found: ToldNow, today: string): [string, Told][] {
  const { nearOn, askOn, governingDate, may } = found;
  if (may === 'discard' || may === 'ask') return [[today, 'out']];
  const days = new Map<string, Told>();
  if (nearOn > today) days.set(nearOn, 'near');
  if (askOn >= today && askOn !== nearOn) days.set(askOn, 'planned');
  if (governingDate >= today) days.set(governingDate, 'last');
  if (askOn <= today && !days.has(today)) days.set(today, governingDate < today ? 'out' : 'near');
  return [...days];
}

/** One entry a day, from the packages that raise a heads-up on it, and from what must be moved down for a meal. */
export function toEntries(
  packages: readonly ToldNow[],
  today: string,
  until: string,
  placeOf: (zoneId: string | null) => string,
  thaw: readonly { day: string; line: string }[] = [],
): Entry[] {
  const byDay = new Map<string, { told: Told; line: string }[]>();
  for (const { day, line } of thaw)
    if (day <= until) byDay.set(day, [...(byDay.get(day) ?? []), { told: 'thaw', line }]);
  for (const found of packages) {
    for (const [day, told] of daysOf(found, today)) {
      if (day > until) continue;
      const line = `${found.called} ${sayAmount(found.amount, found.unit)}, ${placeOf(found.zoneId)} (${found.code})`;
      const lines = byDay.get(day);
      if (lines) lines.push({ told, line });
      else byDay.set(day, [{ told, line }]);
    }
  }
  return [...byDay]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([day, lines]) => {
      const parts = TOLD_ORDER.map((told) => ({
        told,
        lines: lines.filter((line) => line.told === told).map(({ line }) => line),
      })).filter((part) => part.lines.length > 0);
      return {
        day,
        summary: `Cold store: ${parts.map((part) => `${part.lines.length} ${TOLD_WORDS[part.told]}`).join(' · ')}`,
        description: parts
          .map(({ told, lines: all }) => {
            const more = all.length > MOST_LINES ? `\n… and ${all.length - MOST_LINES} more` : '';
            return `${TOLD_WORDS[told].toUpperCase()}\n${all.slice(0, MOST_LINES).join('\n')}${more}`;
          })
          .join('\n\n'),
      };
    });
}

/** What changed since the calendar was last asked for: new sequence numbers, and days that fell away as cancelled. */
export function nextFeedDays(
  entries: readonly (Entry & { digest: string })[],
  told: readonly FeedDay[],
  at: string,
): FeedDay[] {
  const known = new Map(told.map((day) => [day.day, day]));
  const days = entries.map(({ day, digest }): FeedDay => {
    const before = known.get(day);
    known.delete(day);
    if (!before) return { day, sequence: 0, digest, cancelled: false, changedAt: at };
    if (before.digest === digest && !before.cancelled) return before;
    return { day, sequence: before.sequence + 1, digest, cancelled: false, changedAt: at };
  });
  const fallen = [...known.values()].map((day) =>
    day.cancelled ? day : { ...day, sequence: day.sequence + 1, cancelled: true, changedAt: at },
  );
  return [...days, ...fallen].sort((a, b) => (a.day < b.day ? -1 : 1));
}

/**
 * The household's heads-ups as an iCalendar feed: one entry a day at the household's time, with an identity that stays,
 * a number that counts its changes, and cancelled ones told as cancelled.
 *
 * @param key the secret part of the address
 * @throws Problem 404 for a wrong key, as if nothing were there
 */
export async function readCalendarFeed(key: string): Promise<string> {
  const its = await householdOfCalendar(key);
  if (its === null) throw new Problem(404, 'not-found', 'There is no calendar at this address.');
  return inHousehold(its, feedOf);
}

async function feedOf(): Promise<string> {
  const context = await viewContext();
  const { household, kitchen, today, at } = context;
  const { notifyAt } = household.settings;
  const until = addDays(today, AHEAD_DAYS);
  const packages = await toldNow(context, await readTold(sql(), household.id, until, MOST_TOLD));
  const places = new Map(kitchen.zones.map((zone) => [zone.id, `${zone.name}, ${zone.applianceName}`]));
  const thaw = (await keptThawSteps(context)).flatMap(
    ({ best, called, amount_words: words, code, meal_name: meal, thawing }) => {
      if (best?.way !== 'fridge' || thawing) return [];
      const time = new Date(best.startBy).toLocaleTimeString('en-GB', {
        ...{ hour: '2-digit', minute: '2-digit', timeZone: household.timeZone },
      });
      const line = `${called} ${words} (${code}) by ${time}${meal === '' ? '' : `, for ${meal}`}`;
      return [{ day: dateInZone(best.startBy, household.timeZone), line }];
    },
  );
  const place = (id: string | null): string => places.get(id ?? '') ?? 'out of the cold';
  const lines = toEntries(packages, today, until, place, thaw);
  const entries = retellAll(lines, household.settings).map((entry) => ({
    ...entry,
    digest: createHash('sha256').update(`${notifyAt}\n${entry.summary}\n${entry.description}`).digest('hex'),
  }));
  const days = await transaction(async (db) => {
    const told = await lockFeedDays(db, household.id, today);
    const next = nextFeedDays(entries, told, at);
    for (const day of next) if (!told.includes(day)) await putFeedDay(db, household.id, day);
    return next;
  });
  const calendar = ical({
    name: `Cold store, ${household.name}`,
    prodId: { company: 'Orderly Frost', product: 'Heads-ups', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: 60 * 60,
  });
  const saying = new Map(entries.map((entry) => [entry.day, entry]));
  for (const { day, sequence, cancelled, changedAt } of days) {
    const entry = saying.get(day);
    const start = new Date(instantInZone(day, notifyAt, household.timeZone));
    const event = calendar.createEvent({
      id: `day-${day}-of-${household.id}@orderly-frost`,
      sequence,
      start,
      end: new Date(start.getTime() + ENTRY_MS),
      stamp: new Date(changedAt),
      lastModified: new Date(changedAt),
      status: cancelled ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
      summary: entry?.summary ?? 'Cold store: nothing any more',
      description: entry?.description ?? '',
      url: publicUrl(),
    });
    if (!cancelled)
      event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: entry?.summary ?? '' });
  }
  return calendar.toString();
}
