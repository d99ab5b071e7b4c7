import type { Cut, CutPart, CutReading, Seen } from '../model/cut';
import type { OutageClass } from '../model/outageClass';
import { coversCut, type CutTimes, cutTimes } from './airDuringCut';
import { judgeInTime, tellsFrom } from './judgeInTime';
import { judgeSpoiled } from './judgeSpoiled';
import type { CutAppliance, CutPiece, ItemVerdict } from './powerCut';
import { sayHours } from './sayCut';
import { stricter } from './stricter';
import { whatWouldTell } from './whatWouldTell';

/** Where a thing was, and when; `null`: from before anybody looks, or until now. `part` is `null` out of the cold, or gone. */
export interface PartStay {
  part: string | null;
  from: string | null;
  until: string | null;
}

/** What something was, and where it lay. */
export interface CutLife {
  outageClass: OutageClass;
  stays: readonly PartStay[];
}

/** One package as a cut sees it. */
export interface CutThing {
  id: string;
  food: { name: string };
  outageClass: OutageClass;
  /** In the order of time; a package that came in after the power was back lies in no part before. */
  stays: readonly PartStay[];
  /** The lives of what it was made of (L2): none of them may be worse. */
  others?: readonly CutLife[];
  seen: Seen;
  /** When it was looked at; `null` or left out: at the end. */
  seenAt?: string | null;
  /** It is past a date of its own, cut or no cut: `out` for good, else it wants a look. */
  past: { out: boolean; says: string } | null;
}

/** A cut with what came right before it in the same parts: they add up. */
export interface CutFacts {
  cut: Cut;
  /** Earlier cuts in a row with it, the oldest first. */
  earlier: readonly Cut[];
  readings: readonly CutReading[];
}

/** A verdict with what other evidence would change it. */
export interface CutVerdict extends ItemVerdict {
  /** The part it lay in at the end. */
  part: string;
  wants: string[];
}

interface Piece extends CutPiece {
  part: CutPart;
  cut: string;
  until: string;
}

const LEAST_MS = 1000;

const earlierOf = (a: string, b: string): string => (a < b ? a : b);
const laterOf = (a: string, b: string): string => (a > b ? a : b);

/** When a cut was over for a part: as it is told, or later by its log (O14). */
const endOf = (cut: Cut, part: CutPart, now: string): string =>
  cut.until === null ? now : laterOf(cut.until, earlierOf(part.warmUntil ?? cut.until, now));

/** The stretches without power that a thing went through, in the order of time. A cool box counts until food is back from it (O12). */
function piecesOf(stays: readonly PartStay[], { cut, earlier, readings }: CutFacts, now: string): Piece[] {
  return [...earlier, cut].flatMap((one) =>
    stays.flatMap((stay): Piece[] => {
      const part = one.parts.find(({ id }) => id === stay.part);
      if (!part) return [];
      const from = laterOf(one.from, stay.from ?? one.from);
      const end = part.drawn ? endOf(one, part, now) : now;
      const until = earlierOf(end, stay.until ?? end);
      if (Date.parse(until) - Date.parse(from) < LEAST_MS) return [];
      const its = readings.filter((reading) => reading.part === part.id);
      const { kind, fill, doors } = part;
      return [{ part, cut: one.id, kind, fill, doors, from, until, readings: its }];
    }),
  );
}

/** What came into a place that was dead already has the hours of the place, too (O11). */
function asOldAsThePlace(stays: readonly PartStay[], { cut, earlier }: CutFacts, now: string): PartStay[][] {
  return stays.flatMap((stay, nth) => {
    const { from, part: id } = stay;
    if (from === null) return [];
    return [...earlier, cut].flatMap((one) => {
      const part = one.parts.find((its) => its.id === id);
      if (!part?.drawn || from <= one.from || from >= endOf(one, part, now)) return [];
      return [[{ ...stay, from: one.from }, ...stays.slice(nth + 1)]];
    });
  });
}

const WORSE_TELLTALES = ['loose', 'rounded', 'water', 'one-block'] as const;

/** The worst of what telltales said; one that was not looked at in the last place says nothing for it. */
function telltaleOf(pieces: readonly Piece[]): CutAppliance['telltale'] {
  const told = pieces.map(({ part }) => part.telltale);
  const worst = WORSE_TELLTALES.findLast((one) => told.includes(one)) ?? 'none';
  if (worst !== 'loose') return worst;
  const last = pieces.at(-1);
  const silent = pieces.some(({ part }) => part.telltale === 'none' && part.id !== last?.part.id);
  return last?.part.telltale === 'loose' && !silent ? 'loose' : 'none';
}

/** The stretches of one kind of cold, ready to be judged by. */
interface Lain {
  appliance: CutAppliance;
  times: CutTimes;
  /** Since when a look or a telltale tells of all of it. */
  from: string;
  /** A telltale was looked at before, so that it speaks of that time only. */
  early: boolean;
  /** What was added up, in words; '' for one stretch. */
  added: string;
}

function lainIn(kind: CutPart['kind'], pieces: readonly Piece[], lasts: boolean, now: string): Lain {
  const last = pieces.at(-1) as Piece;
  const appliance: CutAppliance = {
    ...last,
    id: last.part.id,
    kind,
    telltale: kind === 'freezer' ? telltaleOf(pieces) : 'none',
    ...(pieces.some(({ part }) => !part.drawn) ? { carried: true } : {}),
    earlier: pieces.slice(0, -1).map((piece) => ({ ...piece, kind })),
  };
  const hours = (piece: Piece): number => (Date.parse(piece.until) - Date.parse(piece.from)) / 3_600_000;
  const each = pieces.map((piece) => `${piece.part.called} ${sayHours(hours(piece))}`).join(', ');
  const added = pieces.length === 1 ? '' : `; added up: ${each}`;
  const times = cutTimes(appliance, now);
  const from = tellsFrom(times.endMs, lasts && last.until === now);
  const early = pieces.some(
    ({ part: { telltale, telltaleAt } }) =>
      telltale !== 'none' && telltaleAt !== undefined && telltaleAt < from,
  );
  return { appliance, times, from, early, added };
}

/** Judges a life by the stretches of one kind of cold. */
function judgeLain(thing: CutThing, outageClass: OutageClass, lain: Lain): ItemVerdict {
  const { appliance, times, from, early, added } = lain;
  const { id, food, seen, seenAt = null } = thing;
  const item = { id, food, outageClass, seen, cannotCheck: false };
  const look = seenAt !== null && seenAt < from;
  const verdict = judgeInTime(item, appliance, times, { look, telltale: early });
  return added === '' ? verdict : { ...verdict, evidence: `${verdict.evidence}${added}` };
}

/** Each stretch with its kind of cold; what was carried off takes the kind it came from. */
function byKind(pieces: readonly Piece[]): [CutPart['kind'], Piece[]][] {
  const groups = new Map<CutPart['kind'], Piece[]>();
  let kind = pieces.find(({ part }) => part.drawn)?.kind ?? 'fridge';
  for (const piece of pieces) {
    if (piece.part.drawn) kind = piece.kind;
    groups.set(kind, [...(groups.get(kind) ?? []), piece]);
  }
  return [...groups];
}

/** What is past its own date never keeps, whatever the cut did to it. */
function withItsDate(verdict: ItemVerdict, { past }: CutThing): ItemVerdict {
  if (!past || verdict.rule === 'O6') return verdict;
  const own = { ...verdict, rule: 'date', evidence: past.says, certainty: 'published' as const };
  if (past.out) return { ...own, verdict: 'discard', says: `Throw it out, power cut or not: ${past.says}.` };
  return stricter(verdict, {
    ...own,
    verdict: 'check',
    says: `Look at it first, power cut or not: ${past.says}.`,
  });
}

/** All that a place without power tells of whatever lay in it. */
interface Place {
  last: Piece;
  lain: readonly Lain[];
  kind: CutPart['kind'];
  covered: boolean;
}

/** What a life's places tell; `null`: it was not in the cut that is judged. */
function placeOf(stays: readonly PartStay[], facts: CutFacts, now: string): Place | null {
  const pieces = piecesOf(stays, facts, now);
  const last = pieces.findLast(({ cut }) => cut === facts.cut.id);
  if (!last) return null;
  const kinds = byKind(pieces);
  return {
    last,
    lain: kinds.map(([kind, its]) => lainIn(kind, its, facts.cut.until === null || !last.part.drawn, now)),
    kind: kinds.at(-1)?.[0] ?? last.kind,
    covered: pieces.every((piece) => coversCut(piece.readings, cutTimes(piece, now))),
  };
}

/**
 * The verdict on everything that went through a power cut, with what would change it. Only the time a thing was without power
 * counts: what came in after the power was back is not judged, nor what left before it went; cuts in a row and places in a row add
 * up, and so do the lives of what it is made of (O1 to O15).
 *
 * @param now ISO 8601 UTC; the end of a cut that lasts
 */
export function judgeCut(facts: CutFacts, things: readonly CutThing[], now: string): CutVerdict[] {
  // Most things lie where others lie: what is known of a place is worked out once.
  const places = new Map<string, Place[]>();
  const placesOf = (stays: readonly PartStay[]): Place[] => {
    const key = JSON.stringify(stays);
    const known = places.get(key);
    if (known) return known;
    const found = [stays, ...asOldAsThePlace(stays, facts, now)].flatMap(
      (its) => placeOf(its, facts, now) ?? [],
    );
    places.set(key, found);
    return found;
  };
  return things.flatMap((thing) => {
    const lives = [thing, ...(thing.others ?? [])].flatMap(({ outageClass, stays }) =>
      placesOf(stays).map((place) => ({ outageClass, place })),
    );
    const [first] = lives;
    if (!first) return [];
    const judged =
      judgeSpoiled({ ...thing, cannotCheck: false }) ??
      lives
        .flatMap(({ outageClass, place }) => place.lain.map((lain) => judgeLain(thing, outageClass, lain)))
        .reduce(stricter);
    const verdict = withItsDate(judged, thing);
    const { kind, last } = first.place;
    const covered = lives.every(({ place }) => place.covered);
    const wants = whatWouldTell(verdict, { kind, covered, seen: thing.seen, last, now });
    return [{ ...verdict, part: last.part.id, wants }];
  });
}
