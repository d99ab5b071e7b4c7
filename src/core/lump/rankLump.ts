import { type CalendarDate, daysBetween } from '../calendar/calendarDate';
import { sayPastDate } from '../calendar/sayDate';
import { foodWords } from '../foods/foodKey';
import type { Food } from '../model/food';
import type { Wrap } from '../model/history';
import { sayAmount } from '../units/sayAmount';
import type { StockRow } from '../stock/stockRow';
import colours from './colours.json';

export const LUMP_COLOURS = [
  'red',
  'pink',
  'orange',
  'yellow',
  'green',
  'purple',
  'brown',
  'grey',
  'white',
] as const;
export type LumpColour = (typeof LUMP_COLOURS)[number];
export const FROSTS = ['none', 'some', 'much'] as const;

/** What can be seen of a nameless lump; `null`: nobody can say. */
export interface LumpSeen {
  /** About how much it weighs, g. */
  grams: number | null;
  colour: LumpColour | null;
  wrap: Wrap | null;
  /** Where it lies. */
  zoneId: string | null;
  frost: (typeof FROSTS)[number] | null;
  /** Since about when. */
  since: CalendarDate | null;
  /** Lots of what lies beside it. */
  neighbourLots: readonly string[];
  /** When those came. */
  neighbourDays: readonly CalendarDate[];
}

/** A package that it may be: here, lost, or said to be gone. */
export interface LumpCandidate {
  row: StockRow;
  applianceId: string | null;
  /** `here`: it is in the books; `lost`: written off; `gone`: said to be taken or cooked. */
  books: 'here' | 'lost' | 'gone';
}

/** How well one of them fits. */
export interface RankedLump {
  candidate: LumpCandidate;
  /** 0 to 1: of all it may be, strangers included. */
  sure: number;
  reasons: string[];
}

export interface LumpWorld {
  today: CalendarDate;
  foodOf: (id: string) => Pick<Food, 'group' | 'name' | 'densityKgPerL'> | undefined;
  applianceOf: (zoneId: string) => string | null;
  placeOf: (zoneId: string | null) => string;
}

/** A thing nobody wrote down fits as well as a package with nothing for and little against it. */
const STRANGER = -1.2;
/** Guesses of a weight by hand are off by a third, as a standard deviation of the logarithm. */
const GUESS = 0.35;
const WORST = -4;
const FROST_MONTHS: Readonly<Record<(typeof FROSTS)[number], readonly [number, number]>> = {
  none: [0, 2],
  some: [1, 8],
  much: [5, 60],
};
/** Packed almost alike: easily taken for each other. */
const ALIKE: readonly (readonly Wrap[])[] = [
  ['zip-bag', 'loose-bag', 'vacuum'],
  ['tub', 'jar'],
];

/** Colours a food has, by its own words first. */
export function coloursOf(called: string, food: Pick<Food, 'group' | 'name'> | undefined): readonly string[] {
  const words: Readonly<Record<string, string[]>> = colours.words;
  const groups: Readonly<Record<string, string[]>> = colours.groups;
  const own = [...foodWords(called), ...foodWords(food?.name ?? '')].flatMap((word) => words[word] ?? []);
  return own.length > 0 ? own : (groups[food?.group ?? ''] ?? []);
}

function gramsOf({ amount, unit, foodId }: StockRow, { foodOf }: LumpWorld): number | null {
  if (unit === 'pc') return null;
  return unit === 'g' ? amount : amount * (foodOf(foodId)?.densityKgPerL ?? 1);
}

/** Adds to the score what one thing seen says for or against, and the words for it. */
type Weigh = (
  candidate: LumpCandidate,
  seen: LumpSeen,
  world: LumpWorld,
) => readonly [points: number, says: string] | null;

const WEIGHS: readonly Weigh[] = [
  ({ row, applianceId }, { zoneId }, { applianceOf, placeOf }) => {
    if (zoneId === null) return null;
    if (row.zoneId === zoneId) return [2, `it should lie in ${placeOf(zoneId)}`];
    if (row.zoneId === null) return null;
    return applianceId !== null && applianceId === applianceOf(zoneId)
      ? [-0.3, `it should lie in ${placeOf(row.zoneId)}`]
      : [-1.6, `it should lie in ${placeOf(row.zoneId)}`];
  },
  ({ row }, { grams }, world) => {
    const known = gramsOf(row, world);
    if (grams === null || known === null) return null;
    const off = Math.log(grams / known);
    const points = Math.max(WORST, 1.1 - (off * off) / (2 * GUESS * GUESS));
    return [points, `${sayAmount(row.amount, row.unit)} ${points > 0 ? 'fits' : 'does not fit'} the size`];
  },
  ({ row }, { wrap }) => {
    if (wrap === null || row.wrap === null) return null;
    if (row.wrap === wrap) return [1.3, 'packed like that'];
    return ALIKE.some((alike) => alike.includes(wrap) && alike.includes(row.wrap as Wrap))
      ? [-0.2, 'packed almost like that']
      : [-1.7, 'packed otherwise'];
  },
  ({ row }, { colour }, { foodOf }) => {
    const its = coloursOf(row.called, foodOf(row.foodId));
    if (colour === null || its.length === 0) return null;
    return its.includes(colour)
      ? [1.2, `${colour} as it is`]
      : [-1.6, `it is ${its.join(' or ')}, not ${colour}`];
  },
  ({ row }, { frost }, { today }) => {
    if (frost === null || row.state !== 'frozen') return null;
    const months = daysBetween(row.startOn, today) / 30.4;
    const [from, to] = FROST_MONTHS[frost];
    const off = months < from ? from - months : months > to ? (months - to) / 3 : 0;
    return off === 0 ? [0.4, 'frost as old as that has'] : [Math.max(-1.5, -off / 2), 'frost of another age'];
  },
  ({ row }, { since }, { today }) => {
    if (since === null) return null;
    const off = daysBetween(since, row.startOn);
    const leeway = Math.max(12, 0.3 * daysBetween(since, today));
    const points = Math.max(WORST, 1.2 - (off / leeway) ** 2);
    return [points, `from ${sayPastDate(row.startOn, today)}, ${points > 0 ? 'about then' : 'another time'}`];
  },
  ({ row }, { neighbourLots, neighbourDays }) => {
    if (neighbourLots.includes(row.lotId)) return [1.1, 'of the same lot as what lies beside it'];
    return neighbourDays.some((day) => Math.abs(daysBetween(day, row.startOn)) <= 2)
      ? [0.6, 'came with what lies beside it']
      : null;
  },
  ({ books }) =>
    books === 'here' ? null : books === 'lost' ? [0.3, 'missed before'] : [-1.4, 'said to be gone already'],
];

/**
 * Ranks what a nameless lump may be, the likeliest first: each with its reasons and how sure, against the chance that nobody ever
 * wrote it down. Sums of log-odds of what was seen, made into shares; what nobody can say counts for nothing.
 */
export function rankLump(
  candidates: readonly LumpCandidate[],
  seen: LumpSeen,
  world: LumpWorld,
): { ranked: RankedLump[]; stranger: number } {
  const scored = candidates.map((candidate) => {
    const told = WEIGHS.flatMap((weigh) => {
      const one = weigh(candidate, seen, world);
      return one ? [one] : [];
    });
    return {
      candidate,
      points: told.reduce((sum, [points]) => sum + points, 0),
      reasons: [...told].sort(([a], [b]) => Math.abs(b) - Math.abs(a)).map(([, says]) => says),
    };
  });
  const most = Math.max(STRANGER, ...scored.map(({ points }) => points));
  const weight = (points: number): number => Math.exp(points - most);
  const all = scored.reduce((sum, { points }) => sum + weight(points), weight(STRANGER));
  return {
    ranked: scored
      .sort((a, b) => b.points - a.points || (a.candidate.row.firstOut < b.candidate.row.firstOut ? -1 : 1))
      .map(({ candidate, points, reasons }) => ({ candidate, sure: weight(points) / all, reasons })),
    stranger: weight(STRANGER) / all,
  };
}
