import type { CalendarDate } from '@/core/calendar/calendarDate';
import type { Cut } from '@/core/model/cut';
import type { Role } from '@/core/model/role';
import { SAFE_CHILL_C } from '@/core/model/limits';
import { retellAll, sayDegrees } from '@/core/units/retell';
import type { Wording } from '@/core/units/wording';
import { counterClock } from '@/core/haul/counterClock';
import { sql } from '@/store/database';
import { DatabaseGone } from '@/store/storeFaults';
import { readBenchLines } from '@/store/hauls';
import { readKept } from '@/store/kept';
import { chosenPerson } from '../household/person';
import { now } from '../door/clock';
import { readCounter, viewContext } from '../household/context';
import { visibleHouseholds } from '../household/households';
import { keptSince } from '../household/kept';
import { whoseOf } from '../household/standing';
import { refusedTo } from '../keys/mayTell';
import { whoAsks } from '../keys/whoAsks';
import { readCooks } from '@/store/members';
import { publicUrl } from '../papers/publicUrl';
import { toPackageView } from '../stock/packageView';
import { type CounterItem, toCounter } from '../haul/counter';

/** What stands around every page. */
export interface Shell {
  household: { id: number; name: string; demo: boolean };
  /** The member whose device this is, empty where nobody is asked; and whose page this is, for what the device keeps. */
  member: string;
  whose: string;
  /** The one other household, to change over in one press; `null`: there is none. */
  other: { id: number; name: string } | null;
  /** Who uses this device; `null`: nobody said. */
  person: string | null;
  people: string[];
  /** What this visitor may do here; the commands she may not tell; and whom to ask instead. */
  role: Role;
  refused: string[];
  cooks: string[];
  temperatures: { name: string; words: string; warm: boolean }[];
  counter: CounterItem[];
  /** What stands on the haul bench, not packed yet; `null`: nothing. */
  bench: { lines: number; minutes_left: number | null } | null;
  /** "Thu 22:00": the power is off since then, by the desk; `null`: it is on. */
  power_off: string | null;
  /** The compartment whose thermometer calls; `null`: none does. */
  warm: string | null;
  /** Time of day of heads-ups. */
  notify_at: string;
  wording: Wording;
  /** How often something had been told when this was read: what came since is others' news. */
  changes: number;
  today: CalendarDate;
  /** When this was read, ISO 8601. */
  at: string;
  /** Codes on labels open on this machine only: no phone gets there. */
  codes_local: boolean;
}

/** The warmest fridge and the warmest freezer of those where a thermometer was read; each that is too warm by its name. */
function temperaturesOf(
  compartments: readonly {
    called: string;
    temperatureC: number;
    measured: boolean;
    cold: 'fridge' | 'freezer';
  }[],
  wording: Wording,
): Shell['temperatures'] {
  return (['fridge', 'freezer'] as const).flatMap((cold): Shell['temperatures'] => {
    const its = compartments.filter((one) => one.cold === cold && one.measured);
    const [first] = its;
    if (!first) return [];
    const limit = cold === 'fridge' ? SAFE_CHILL_C : -15;
    const warm = its.filter(({ temperatureC }) => temperatureC > limit);
    if (warm.length > 0)
      return warm.map(({ called, temperatureC }) => ({
        name: called,
        words: `${sayDegrees(temperatureC, wording)}°`,
        warm: true,
      }));
    const most = Math.max(...its.map(({ temperatureC }) => temperatureC));
    const name = cold === 'fridge' ? 'Fridge' : 'Freezer';
    return [
      { name: its.length > 1 ? `${name}s` : name, words: `${sayDegrees(most, wording)}°`, warm: false },
    ];
  });
}

/** Since when the power is off, in the household's time; `null`: no open cut lasts. */
function powerOff(cuts: readonly Cut[], timeZone: string): string | null {
  const [first] = cuts
    .filter(({ until, closedAt }) => until === null && closedAt === null)
    .map(({ from }) => from)
    .sort();
  if (first === undefined) return null;
  return new Date(first).toLocaleString('en-GB', {
    weekday: 'short',
    hour: '2-digit',
    minute: '2-digit',
    timeZone,
  });
}

/** Top bar and counter; `null` while the database is out of reach. */
export async function readShell(): Promise<Shell | null> {
  try {
    const context = await viewContext();
    const { household } = context;
    const visitor = await whoAsks();
    const { units, decimals } = household.settings;
    const wording = { units, decimals };
    const [all, person, onCounter, onBench, cuts] = await Promise.all([
      visibleHouseholds(),
      chosenPerson(),
      readCounter(household),
      keptSince(household, 'bench', () => readBenchLines(sql(), household.id)),
      keptSince(household, 'cuts', () => readKept(sql(), household.id, ['cut', 'thermometer'])),
    ]);
    const left = onBench.flatMap(({ line, hot }) => {
      const food = context.reference.byId.get(line.food);
      const clock = food && counterClock(line, food, now(), hot);
      return clock && clock.left !== null && clock.level !== 'cold' ? [clock.left] : [];
    });
    const others = process.env.HOUSEHOLD_ID ? [] : all.filter(({ id }) => id !== household.id);
    return {
      household: { id: household.id, name: household.name, demo: household.demo },
      member: visitor.member?.member ?? '',
      whose: whoseOf(visitor.member?.member, household.id),
      other: others.find(({ own }) => own) ?? others.find(({ demo }) => demo) ?? null,
      person: visitor.member?.name ?? household.settings.people.find((name) => name === person) ?? null,
      people: household.settings.people,
      role: visitor.role,
      refused: refusedTo(visitor.role),
      cooks: visitor.role === 'cook' ? [] : await readCooks(sql(), household.id),
      bench:
        onBench.length === 0
          ? null
          : { lines: onBench.length, minutes_left: left.length === 0 ? null : Math.min(...left) },
      power_off: powerOff([...cuts.cut.values()], household.timeZone),
      warm:
        context.kitchen.compartments.find(({ id }) => cuts.thermometer.get(id)?.warmSince)?.called ?? null,
      notify_at: household.settings.notifyAt,
      wording,
      changes: household.changes,
      today: context.today,
      at: now(),
      codes_local: /^(localhost|127\.|\[::1\])/.test(new URL(publicUrl()).host),
      temperatures: temperaturesOf(context.kitchen.compartments, wording),
      counter: retellAll(toCounter(onCounter.map((found) => toPackageView(found, context))), wording),
    };
  } catch (error) {
    if (error instanceof DatabaseGone) return null;
    throw error;
  }
}
